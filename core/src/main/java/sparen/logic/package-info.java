/**
 * How a program acts in time. Every rule compiles to these parts and to nothing else.
 *
 * <p>Promises:
 *
 * <ol>
 *   <li>A {@link sparen.logic.Condition} is a pure function of the signals; at equality with its threshold it is true.
 *   <li>A {@link sparen.logic.Timer} starts when its condition becomes true and is reset when it becomes false even for an
 *       instant; it is due exactly its delay later.
 *   <li>A {@link sparen.logic.Switch} changes only when the timer of the condition it is waiting for is due.
 *   <li>Between two events nothing here needs to be asked, as long as every signal stays inside the interval that
 *       {@link sparen.logic.Condition#narrow} left for it.
 * </ol>
 *
 * <p>No site is known here: a signal is an index into an array of numbers.
 */
package sparen.logic;
