/**
 * Figures for docs/benchmarks.md: JMH benchmarks of the core, and {@link org.yarbel.bench.TrackerTruth}, which asks a
 * simulation how often the tracked max holds the true one.
 */
package org.yarbel.bench;
