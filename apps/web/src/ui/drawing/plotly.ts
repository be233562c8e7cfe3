import type PlotlyType from 'plotly.js';
import PlotlyRaw from 'plotly.js-cartesian-dist-min';

/** The charts with two axes only: a third of the whole library. */
export const Plotly = PlotlyRaw as unknown as typeof PlotlyType;
