/**
 * What can be wrong with a plan: one class a check, each a fact of the trade.
 *
 * <p>Promise: a finding names its hazard, how severe it is, what it stands at, and the numbers compared with their units and origins;
 * where the plan can be mended it carries the change. A check decides nothing from text of people.
 */
package sparen.check;
