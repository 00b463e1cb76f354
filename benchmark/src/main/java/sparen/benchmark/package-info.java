/**
 * How fast the engine is: {@link sparen.benchmark.WholeProcess} for milliseconds per site-year, {@link sparen.benchmark.YearBenchmark}
 * for JMH. Figures only; no rule of the job is here.
 */
package sparen.benchmark;
