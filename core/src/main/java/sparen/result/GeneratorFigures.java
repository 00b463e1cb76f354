package sparen.result;

/**
 * What a generator did in a run.
 *
 * @param generator its id
 * @param runSeconds how long its engine ran (s)
 * @param starts how often it came to running
 * @param failedStarts how often it did not
 * @param lowLoadSeconds how long it ran below its least load (s)
 * @param litres fuel burnt (l)
 */
public record GeneratorFigures(
        String generator, double runSeconds, int starts, int failedStarts, double lowLoadSeconds, double litres) {
    /** What it did since it had counted so much. */
    public GeneratorFigures since(GeneratorFigures before) {
        return new GeneratorFigures(
                generator,
                runSeconds - before.runSeconds,
                starts - before.starts,
                failedStarts - before.failedStarts,
                lowLoadSeconds - before.lowLoadSeconds,
                litres - before.litres);
    }
}
