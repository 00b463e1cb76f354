/**
 * How a program acts in time. Every rule compiles to these parts and to nothing else.
 *
 * <p>Promises:
 *
 * <ol>
 *   <li>A {@link sparen.logic.Condition} is a pure function of the signals; at equality with its threshold it is true.
 *   <li>A {@link sparen.logic.Timer} starts when its condition becomes true and is reset when it becomes false even for an
 *       instant; it is due exactly its delay later.
 *   <li>A {@link sparen.logic.Switch} changes only when the timer of a way it is waiting for is due, never before its minimum, and at its
 *       longest run.
 *   <li>A way with a look interval sees its condition, and the end of its delay, at whole multiples of the interval only.
 *   <li>Between two events nothing here needs to be asked, as long as every signal stays inside the interval that
 *       {@link sparen.logic.Condition#narrow} left for it.
 * </ol>
 *
 * <p>No site is known here: a signal is an index into an array of numbers.
 */
package sparen.logic;
