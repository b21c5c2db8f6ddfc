/*
 * What a document answers to (DOM, HTML): a form of one of these names stands in its place, and scripts of the page that ask
 * the document for it get the form (HTML, section 3.1.6, "named properties").
 */

const MEMBERS: ReadonlySet<string> = new Set(
  `
  __defineGetter__ __defineSetter__ __lookupGetter__ __lookupSetter__ __proto__ activeElement
  activeViewTransition addEventListener adoptNode adoptedStyleSheets alinkColor all anchors append
  appendChild applets ariaNotify baseURI bgColor body captureEvents caretPositionFromPoint
  caretRangeFromPoint characterSet charset childElementCount childNodes children clear cloneNode close
  compareDocumentPosition compatMode constructor contains contentType cookie createAttribute
  createAttributeNS createCDATASection createComment createDocumentFragment createElement
  createElementNS createEvent createExpression createNSResolver createNodeIterator
  createProcessingInstruction createRange createTextNode createTreeWalker currentScript
  customElementRegistry defaultView designMode dir dispatchEvent doctype documentElement documentURI
  domain elementFromPoint elementsFromPoint embeds evaluate execCommand exitFullscreen
  exitPictureInPicture exitPointerLock featurePolicy fgColor firstChild firstElementChild fonts forms
  fragmentDirective fullscreen fullscreenElement fullscreenEnabled getAnimations getElementById
  getElementsByClassName getElementsByName getElementsByTagName getElementsByTagNameNS getRootNode
  getSelection hasChildNodes hasFocus hasOwnProperty hasStorageAccess hasUnpartitionedCookieAccess head
  hidden images implementation importNode inputEncoding insertBefore isConnected isDefaultNamespace
  isEqualNode isPrototypeOf isSameNode lastChild lastElementChild lastModified linkColor links location
  lookupNamespaceURI lookupPrefix moveBefore nextSibling nodeName nodeType nodeValue normalize open
  ownerDocument parentElement parentNode pictureInPictureElement pictureInPictureEnabled plugins
  pointerLockElement prepend prerendering previousSibling propertyIsEnumerable queryCommandEnabled
  queryCommandIndeterm queryCommandState queryCommandSupported queryCommandValue querySelector
  querySelectorAll readyState referrer releaseEvents removeChild removeEventListener replaceChild
  replaceChildren requestStorageAccess rootElement scripts scrollingElement startViewTransition
  styleSheets textContent timeline title toLocaleString toString valueOf visibilityState vlinkColor
  wasDiscarded webkitCancelFullScreen webkitCurrentFullScreenElement webkitExitFullscreen
  webkitFullscreenElement webkitFullscreenEnabled webkitHidden webkitIsFullScreen webkitVisibilityState
  when write writeln xmlEncoding xmlStandalone xmlVersion
`
    .trim()
    .split(/\s+/),
);

/** Whether a form of this name would hide something that scripts ask a document for; so do all names that begin like an event's. */
export const hidesDocumentMember = (name: string): boolean => MEMBERS.has(name) || /^on[a-z]/.test(name);
