import { expose } from 'comlink';
import {
  planReportOf,
  quickFigures,
  withForm,
  withFormsKept,
  withMeasured,
  type Airframe,
  type QuickFigures,
} from '@grain-fold/core/airframe';
import type { Form } from '@grain-fold/core/forms';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';
import { worked, type Worked } from './worked.ts';
import { changedBetween, type ChangedParts } from './changed-parts.ts';

/** What an airframe would come to with a form as it is being dragged. */
export interface FollowedFigures {
  readonly quick: QuickFigures;
  /** Figures of the plan in words, by their keys. */
  readonly plan: Readonly<Record<string, string>>;
}

const keeper = new AirframeKeeper();

/** Makes all that follows a form while that is dragged, off the interface's thread. */
const forms = {
  followed(change: AirframeChange, form: Form): Worked<FollowedFigures> {
    const airframe: Airframe = keeper.take(change);
    return worked(() => {
      const next = withFormsKept(airframe, withForm(airframe, form));
      return {
        quick: quickFigures(next),
        plan: Object.fromEntries((planReportOf(next)?.figures.figures ?? []).map(({ key, text }) => [key, text])),
      };
    });
  },
  /** What struts and gauges become by what stands now; undefined when they stay as they are. */
  measured(change: AirframeChange): Worked<ChangedParts | undefined> {
    const airframe: Airframe = keeper.take(change);
    return worked(() => changedBetween(airframe, withMeasured(airframe)));
  },
};
export type FormsWorker = typeof forms;

expose(forms);
