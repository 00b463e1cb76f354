/**
 * Devices as their settings are seen and typed in: plain data, made by users, naming rules and fields of the program by their names in
 * documents. What they make of a program is in {@code sparen.setting}.
 */
package sparen.device;
