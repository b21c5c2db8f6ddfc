/** Whether SVG source holds nothing that runs or loads: the server's last door; cleaning happens before. */
export function isCleanSvg(source: string): boolean {
  const dangerous =
    /<\s*(script|foreignobject|iframe|embed|object|handler|set|animate\w*|image|feimage|a|style|link|meta|audio|video)[\s>/]|[\s"'/]on\w+\s*=|javascript:|data:|<!|<\?|(?:href|src)\s*=\s*["']?(?!#)|url\s*\(\s*["']?(?!#)|&/i;
  return (
    /^\s*<svg[\s>]/i.test(source) &&
    /<\/svg>\s*$/i.test(source) &&
    !dangerous.test(source.replace(/&(?:amp|lt|gt|quot|apos|#\d+);/g, ''))
  );
}
