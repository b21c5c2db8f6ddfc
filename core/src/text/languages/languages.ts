/*
 * The words that new pieces and parts say by themselves, in the languages they can say them in, and what each language is
 * known by. Languages are written from right to left where they say so.
 */

/** The built-in words in English: a thing that says one of them in its text says it in the site's language. */
export const BUILT_IN = [
  'Menu',
  'Main',
  'More',
  'Close',
  'Close menu',
  'Search',
  'Quick links',
  'Account',
  'Our profile',
  'Elsewhere',
  'In this section',
  'Open every day, 9 to 17',
] as const;

export interface Language {
  /** Its tag (BCP 47), without a region. */
  readonly tag: string;
  /** What it is called in English. */
  readonly name: string;
  readonly direction: 'ltr' | 'rtl';
  /** The built-in words, in their order. */
  readonly words: readonly string[];
  /** Words that menus in it often have, small letters throughout; none where its script tells it. */
  readonly known: readonly string[];
}

const language = (
  tag: string,
  name: string,
  words: string,
  known = '',
  direction: Language['direction'] = 'ltr',
): Language => ({
  tag,
  name,
  direction,
  words: words.split('|'),
  known: known === '' ? [] : known.split(' '),
});

export const LANGUAGES: readonly Language[] = [
  language(
    'en',
    'English',
    BUILT_IN.join('|'),
    'the of our your about us home contact news events visit and how to get here search shop more services work with for opening hours learn join',
  ),
  language(
    'ar',
    'Arabic',
    'القائمة|الرئيسية|المزيد|إغلاق|إغلاق القائمة|بحث|روابط سريعة|الحساب|صفحتنا|تابعونا|في هذا القسم|مفتوح يوميًا من 9 إلى 17',
    '',
    'rtl',
  ),
  language(
    'bg',
    'Bulgarian',
    'Меню|Основно|Още|Затвори|Затвори менюто|Търсене|Бързи връзки|Профил|Нашият профил|Последвайте ни|В този раздел|Отворено всеки ден от 9 до 17 ч.',
    'за нас начало контакти новини услуги още и на търсене събития посетете',
  ),
  language(
    'ca',
    'Catalan',
    'Menú|Principal|Més|Tanca|Tanca el menú|Cerca|Enllaços ràpids|Compte|El nostre perfil|Segueix-nos|En aquesta secció|Obert cada dia, de 9 a 17 h',
    'inici contacte notícies nosaltres serveis més cerca amb els les i qui som visita horaris botiga',
  ),
  language(
    'cs',
    'Czech',
    'Menu|Hlavní|Více|Zavřít|Zavřít menu|Hledat|Rychlé odkazy|Účet|Náš profil|Sledujte nás|V této sekci|Otevřeno denně 9–17',
    'úvod domů o otevírací doba kontakt kontakty novinky služby více nás hledat pro akce návštěva ke stažení ceník',
  ),
  language(
    'da',
    'Danish',
    'Menu|Hovedmenu|Mere|Luk|Luk menu|Søg|Genveje|Konto|Vores profil|Følg os|I denne sektion|Åbent alle dage kl. 9–17',
    'forside om os kontakt nyheder mere og søg til åbningstider besøg ydelser arrangementer bliv',
  ),
  language(
    'de',
    'German',
    'Menü|Hauptmenü|Mehr|Schließen|Menü schließen|Suchen|Schnellzugriff|Konto|Unser Profil|Folgen Sie uns|In diesem Bereich|Täglich geöffnet, 9 bis 17 Uhr',
    'startseite über uns kontakt aktuelles leistungen unternehmen und der die das für mehr suche öffnungszeiten anfahrt besuch veranstaltungen impressum angebote',
  ),
  language(
    'el',
    'Greek',
    'Μενού|Κύριο|Περισσότερα|Κλείσιμο|Κλείσιμο μενού|Αναζήτηση|Γρήγοροι σύνδεσμοι|Λογαριασμός|Το προφίλ μας|Ακολουθήστε μας|Σε αυτή την ενότητα|Ανοιχτά κάθε μέρα, 9 με 17',
  ),
  language(
    'es',
    'Spanish',
    'Menú|Principal|Más|Cerrar|Cerrar menú|Buscar|Enlaces rápidos|Cuenta|Nuestro perfil|Síguenos|En esta sección|Abierto todos los días, de 9 a 17 h',
    'inicio contacto noticias nosotros servicios sobre más buscar quiénes somos y el la los las de con horarios visita tienda cómo llegar eventos',
  ),
  language(
    'eu',
    'Basque',
    'Menua|Nagusia|Gehiago|Itxi|Itxi menua|Bilatu|Esteka azkarrak|Kontua|Gure profila|Jarrai gaitzazu|Atal honetan|Egunero irekita, 9etatik 17etara',
    'hasiera kontaktua albisteak gu eta gehiago bilatu nor gara zerbitzuak harremana ordutegia bisita',
  ),
  language(
    'fa',
    'Persian',
    'منو|اصلی|بیشتر|بستن|بستن منو|جستجو|پیوندهای سریع|حساب|نمایه ما|ما را دنبال کنید|در این بخش|هر روز باز است، ۹ تا ۱۷',
    '',
    'rtl',
  ),
  language(
    'fi',
    'Finnish',
    'Valikko|Päävalikko|Lisää|Sulje|Sulje valikko|Haku|Pikalinkit|Tili|Profiilimme|Seuraa meitä|Tässä osiossa|Avoinna joka päivä klo 9–17',
    'etusivu yhteystiedot ajankohtaista meistä palvelut lisää haku ja ota yhteyttä aukioloajat tapahtumat tietoa',
  ),
  language(
    'fr',
    'French',
    'Menu|Principal|Plus|Fermer|Fermer le menu|Rechercher|Accès rapide|Compte|Notre profil|Suivez-nous|Dans cette rubrique|Ouvert tous les jours, de 9 h à 17 h',
    'accueil contact actualités nous services à propos plus rechercher le la les des et notre qui sommes horaires visite boutique événements venir',
  ),
  language(
    'gl',
    'Galician',
    'Menú|Principal|Máis|Pechar|Pechar o menú|Buscar|Ligazóns rápidas|Conta|O noso perfil|Séguenos|Nesta sección|Aberto todos os días, de 9 a 17 h',
    'inicio contacto novas nós servizos máis buscar sobre quen somos e o a os as do da horarios visita tenda',
  ),
  language(
    'he',
    'Hebrew',
    'תפריט|ראשי|עוד|סגירה|סגירת התפריט|חיפוש|קישורים מהירים|חשבון|הפרופיל שלנו|עקבו אחרינו|במדור זה|פתוח כל יום, 9 עד 17',
    '',
    'rtl',
  ),
  language(
    'hi',
    'Hindi',
    'मेन्यू|मुख्य|और|बंद करें|मेन्यू बंद करें|खोजें|त्वरित लिंक|खाता|हमारी प्रोफ़ाइल|हमसे जुड़ें|इस अनुभाग में|हर दिन खुला, 9 से 17 बजे',
  ),
  language(
    'hr',
    'Croatian',
    'Izbornik|Glavni|Više|Zatvori|Zatvori izbornik|Traži|Brze poveznice|Račun|Naš profil|Pratite nas|U ovom odjeljku|Otvoreno svaki dan od 9 do 17 h',
    'početna naslovnica kontakt novosti usluge više o nama traži i za posjet događanja',
  ),
  language(
    'hu',
    'Hungarian',
    'Menü|Főmenü|Több|Bezárás|Menü bezárása|Keresés|Gyors linkek|Fiók|Profilunk|Kövessen minket|Ebben a részben|Minden nap nyitva, 9–17',
    'kezdőlap főoldal kapcsolat hírek szolgáltatások rólunk több keresés és az a nyitvatartás látogatás események',
  ),
  language(
    'it',
    'Italian',
    'Menu|Principale|Altro|Chiudi|Chiudi il menu|Cerca|Link rapidi|Account|Il nostro profilo|Seguici|In questa sezione|Aperto tutti i giorni, dalle 9 alle 17',
    'home contatti notizie chi siamo servizi altro cerca il la gli di e con orari visita negozio eventi come arrivare dove',
  ),
  language(
    'ja',
    'Japanese',
    'メニュー|メイン|その他|閉じる|メニューを閉じる|検索|クイックリンク|アカウント|公式ページ|フォローする|このセクション|毎日9時～17時',
  ),
  language(
    'ko',
    'Korean',
    '메뉴|주 메뉴|더 보기|닫기|메뉴 닫기|검색|바로 가기|계정|우리 프로필|팔로우하기|이 섹션에서|매일 9시~17시 운영',
  ),
  language(
    'nb',
    'Norwegian',
    'Meny|Hovedmeny|Mer|Lukk|Lukk menyen|Søk|Hurtiglenker|Konto|Vår profil|Følg oss|I denne delen|Åpent hver dag kl. 9–17',
    'hjem forside om oss kontakt nyheter mer og søk til åpningstider besøk tjenester arrangementer',
  ),
  language(
    'nl',
    'Dutch',
    'Menu|Hoofdmenu|Meer|Sluiten|Menu sluiten|Zoeken|Snelle links|Account|Ons profiel|Volg ons|In deze rubriek|Elke dag open van 9 tot 17 uur',
    'home over ons contact nieuws diensten meer zoeken en de het een van met openingstijden bezoek winkel agenda',
  ),
  language(
    'pl',
    'Polish',
    'Menu|Główne|Więcej|Zamknij|Zamknij menu|Szukaj|Szybkie linki|Konto|Nasz profil|Obserwuj nas|W tym dziale|Otwarte codziennie od 9 do 17',
    'strona główna kontakt aktualności o nas usługi więcej szukaj i w na dla godziny otwarcia oferta wydarzenia sklep',
  ),
  language(
    'pt',
    'Portuguese',
    'Menu|Principal|Mais|Fechar|Fechar menu|Pesquisar|Links rápidos|Conta|O nosso perfil|Siga-nos|Nesta secção|Aberto todos os dias, das 9 às 17 h',
    'início contacto contato notícias sobre nós serviços mais pesquisar quem somos e o a os as do da com horários visita loja eventos como chegar',
  ),
  language(
    'ro',
    'Romanian',
    'Meniu|Principal|Mai mult|Închide|Închide meniul|Caută|Linkuri rapide|Cont|Profilul nostru|Urmăriți-ne|În această secțiune|Deschis zilnic, 9–17',
    'acasă contact știri despre noi servicii mai mult caută și cu program evenimente magazin vizită',
  ),
  language(
    'ru',
    'Russian',
    'Меню|Главное|Ещё|Закрыть|Закрыть меню|Поиск|Быстрые ссылки|Аккаунт|Наш профиль|Мы в сети|В этом разделе|Открыто ежедневно с 9 до 17',
    'главная контакты новости о нас услуги ещё и поиск как доехать события посещение',
  ),
  language(
    'sk',
    'Slovak',
    'Menu|Hlavné|Viac|Zavrieť|Zavrieť menu|Hľadať|Rýchle odkazy|Účet|Náš profil|Sledujte nás|V tejto sekcii|Otvorené denne 9–17',
    'úvod domov o otváracie hodiny kontakt kontakty novinky služby viac nás hľadať pre podujatia návšteva cenník',
  ),
  language(
    'sl',
    'Slovenian',
    'Meni|Glavni|Več|Zapri|Zapri meni|Iskanje|Hitre povezave|Račun|Naš profil|Spremljajte nas|V tem razdelku|Odprto vsak dan od 9. do 17. ure',
    'domov kontakt novice storitve več o nas iskanje in za obisk dogodki',
  ),
  language(
    'sv',
    'Swedish',
    'Meny|Huvudmeny|Mer|Stäng|Stäng menyn|Sök|Snabblänkar|Konto|Vår profil|Följ oss|I det här avsnittet|Öppet alla dagar kl. 9–17',
    'hem startsida om oss kontakt nyheter mer och sök till öppettider besök tjänster evenemang',
  ),
  language(
    'tr',
    'Turkish',
    'Menü|Ana menü|Daha fazla|Kapat|Menüyü kapat|Ara|Hızlı bağlantılar|Hesap|Profilimiz|Bizi takip edin|Bu bölümde|Her gün açık, 9–17',
    'anasayfa ana sayfa iletişim haberler hizmetler hakkımızda ve daha fazla ara etkinlikler ürünler ziyaret biz',
  ),
  language(
    'uk',
    'Ukrainian',
    'Меню|Головне|Ще|Закрити|Закрити меню|Пошук|Швидкі посилання|Обліковий запис|Наш профіль|Ми в мережі|У цьому розділі|Відчинено щодня з 9 до 17',
    'головна контакти новини про нас послуги ще і та пошук події відвідування',
  ),
  language(
    'zh',
    'Chinese',
    '菜单|主菜单|更多|关闭|关闭菜单|搜索|快速链接|账户|我们的主页|关注我们|本栏目|每天9点至17点开放',
  ),
];
