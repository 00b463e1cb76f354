package sparen.table;

/**
 * A line of a file that was refused.
 *
 * @param line its number in the file, from 1
 * @param reason what is wrong with it
 */
public record BadLine(long line, String reason) {}
