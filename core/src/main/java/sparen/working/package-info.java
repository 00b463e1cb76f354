/**
 * The arithmetic that is done on paper, with its working, for the place where its number is entered: one class a calculator.
 *
 * <p>Promise: each line of a working can be followed with the numbers it names; where a number rests on common practice it says so.
 */
package sparen.working;
