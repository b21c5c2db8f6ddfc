import { describe, expect, test } from '@jest/globals';
import { BUILT_IN, LANGUAGES } from './languages.ts';
import { noticeLanguage } from './notice.ts';
import { acrossLanguages, inLanguage, languageOf } from './words.ts';

/** Menus as sites in each language have them. */
const MENUS: Readonly<Record<string, readonly string[]>> = {
  ar: ['زيارة المحمية', 'الطيور', 'ساعات العمل', 'اتصل بنا'],
  bg: ['Начало', 'За нас', 'Птиците', 'Как да стигнете', 'Работно време', 'Контакти'],
  ca: ['Inici', 'Visita', 'Qui som', 'Els ocells', 'Contacte'],
  cs: ['Úvod', 'O nás', 'Ptáci', 'Otevírací doba', 'Kontakty'],
  da: ['Forside', 'Besøg os', 'Fugle', 'Åbningstider', 'Om os'],
  de: ['Besuch', 'Öffnungszeiten', 'Über uns', 'Vögel & Pflanzen', 'Kontakt'],
  el: ['Αρχική', 'Επίσκεψη', 'Πουλιά', 'Επικοινωνία'],
  en: ['Visit', 'Opening hours', 'Getting here', 'Birds', 'About us', 'Contact'],
  es: ['Inicio', 'La reserva', 'Horarios', 'Quiénes somos', 'Contacto'],
  eu: ['Hasiera', 'Nor gara', 'Hegaztiak', 'Albisteak', 'Kontaktua'],
  fa: ['بازدید', 'پرندگان', 'درباره ما', 'تماس با ما'],
  fi: ['Etusivu', 'Vieraile', 'Linnut', 'Aukioloajat', 'Yhteystiedot'],
  fr: ['Accueil', 'La réserve', 'Horaires', 'Qui sommes-nous', 'Contact'],
  gl: ['Inicio', 'A reserva', 'Quen somos', 'Horarios', 'Novas'],
  he: ['ביקור', 'ציפורים', 'אודות', 'צור קשר'],
  hi: ['यात्रा', 'पक्षी', 'हमारे बारे में', 'संपर्क'],
  hr: ['Početna', 'O nama', 'Ptice', 'Novosti', 'Kontakt'],
  hu: ['Kezdőlap', 'Rólunk', 'Madarak', 'Nyitvatartás', 'Kapcsolat'],
  it: ['Home', 'La riserva', 'Chi siamo', 'Orari', 'Contatti'],
  ja: ['ご案内', '野鳥', 'アクセス', 'お問い合わせ'],
  ko: ['방문 안내', '새', '소개', '문의'],
  nb: ['Forside', 'Besøk oss', 'Fugler', 'Åpningstider', 'Om oss', 'Nyheter'],
  nl: ['Home', 'Bezoek', 'Openingstijden', 'Over ons', 'Vogels van het moeras'],
  pl: ['Strona główna', 'O nas', 'Ptaki', 'Godziny otwarcia', 'Kontakt'],
  pt: ['Início', 'A reserva', 'Quem somos', 'Notícias', 'Contactos'],
  ro: ['Acasă', 'Despre noi', 'Păsări', 'Program', 'Contact'],
  ru: ['Главная', 'О нас', 'Птицы', 'Как доехать', 'Контакты', 'Посещение и часы работы'],
  sk: ['Domov', 'O nás', 'Vtáky', 'Podujatia', 'Kontakt'],
  sl: ['Domov', 'O nas', 'Ptice', 'Novice', 'Kontakt'],
  sv: ['Hem', 'Besök oss', 'Fåglar', 'Öppettider', 'Om oss'],
  tr: ['Ana sayfa', 'Hakkımızda', 'Kuşlar', 'Haberler', 'İletişim'],
  uk: ['Головна', 'Про нас', 'Птахи', 'Години роботи', 'Контакти'],
  zh: ['参观', '鸟类', '关于我们', '联系方式'],
};

describe('languages', () => {
  test.each(LANGUAGES.map((entry) => [entry.tag, entry] as const))(
    '%s says every built-in word, none of them twice, and is noticed in a menu',
    (tag, { words, direction }) => {
      expect(words.length).toBe(BUILT_IN.length);
      expect(new Set(words).size).toBe(words.length);
      expect(words.every((word) => word.trim() === word && word !== '')).toBe(true);
      const noticed = noticeLanguage(MENUS[tag] ?? []);
      expect([noticed?.tag, noticed?.direction]).toEqual([tag, direction]);
    },
  );
  test('are thirty at least, and words go there and back between any two', () => {
    expect(LANGUAGES.length).toBeGreaterThanOrEqual(30);
    for (const from of LANGUAGES)
      for (const to of LANGUAGES) {
        const there = from.words.map((word) => acrossLanguages(from.tag, to.tag, word) ?? word);
        expect(there).toEqual(to.words);
        expect(there.map((word) => acrossLanguages(to.tag, from.tag, word) ?? word)).toEqual(from.words);
      }
  });
  test('go by their first tag, and by another’s words where they share them', () => {
    expect(languageOf('pt-BR')?.tag).toBe('pt');
    expect(languageOf('nn')?.tag).toBe('nb');
    expect(languageOf('tlh')).toBeNull();
    expect(inLanguage('de-AT', 'Close')).toBe('Schließen');
    expect(inLanguage('de', 'Opening hours')).toBe('Opening hours');
    expect(inLanguage('tlh', 'Close')).toBe('Close');
  });
  test.each([[[]], [['Reed', 'Marisma', 'Orilla']], [['1', '2', '—']], [['O', 'A']]])(
    'nothing is noticed where nothing speaks for one: %j',
    (labels) => {
      expect(noticeLanguage(labels)).toBeNull();
    },
  );
});
