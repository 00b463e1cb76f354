/**
 * A plan in formats that others read: levels and outputs as tables, the logic of an output as text for a programmable relay.
 *
 * <p>Promise: what is written says the same as the sentence on screen, and acts as the engine does where the format can say it; what
 * it cannot say stands in it as a remark.
 */
package sparen.export;
