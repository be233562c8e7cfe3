import app from './en/pages/app.json' with { type: 'json' };
import ask from './en/pages/ask.json' with { type: 'json' };
import bake from './en/pages/bake.json' with { type: 'json' };
import bakes from './en/pages/bakes.json' with { type: 'json' };
import blend from './en/pages/blend.json' with { type: 'json' };
import blends from './en/pages/blends.json' with { type: 'json' };
import board from './en/pages/board.json' with { type: 'json' };
import chill from './en/pages/chill.json' with { type: 'json' };
import common from './en/pages/common.json' with { type: 'json' };
import dough from './en/pages/dough.json' with { type: 'json' };
import entry from './en/pages/entry.json' with { type: 'json' };
import find from './en/pages/find.json' with { type: 'json' };
import formulas from './en/pages/formulas.json' with { type: 'json' };
import keep from './en/pages/keep.json' with { type: 'json' };
import kitchen from './en/pages/kitchen.json' with { type: 'json' };
import paper from './en/pages/paper.json' with { type: 'json' };
import pantry from './en/pages/pantry.json' with { type: 'json' };
import platform from './en/pages/platform.json' with { type: 'json' };
import runs from './en/pages/runs.json' with { type: 'json' };
import setup from './en/pages/setup.json' with { type: 'json' };
import sheet from './en/pages/sheet.json' with { type: 'json' };
import today from './en/pages/today.json' with { type: 'json' };
import trials from './en/pages/trials.json' with { type: 'json' };
import ui from './en/pages/ui.json' with { type: 'json' };
import workspace from './en/pages/workspace.json' with { type: 'json' };

/** What stands on the pages, a catalogue a room of the web; `common` is what two rooms say alike. */
export const pages = {
  ...app,
  ...ask,
  ...bake,
  ...bakes,
  ...blend,
  ...blends,
  ...board,
  ...chill,
  ...common,
  ...dough,
  ...entry,
  ...find,
  ...formulas,
  ...keep,
  ...kitchen,
  ...pantry,
  ...paper,
  ...platform,
  ...runs,
  ...setup,
  ...sheet,
  ...today,
  ...trials,
  ...ui,
  ...workspace,
};
