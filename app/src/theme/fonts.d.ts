/** A font file, as the bundler hands it out. */
declare module '*.woff2' {
  const font: string;
  export default font;
}
