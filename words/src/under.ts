import { under } from './en/under.ts';
import { teach } from './index.ts';

/** What is said of what lies under the planks: fetched with the stage that says it, so that the others stay light. */
teach(under);
