declare module 'plotly.js-cartesian-dist-min' {
  const Plotly: unknown;
  export default Plotly;
}
declare module '@fontsource-variable/hanken-grotesk/wght.css';
