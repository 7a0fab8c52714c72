package org.yarbel.core.plan.cycle;

/**
 * One difference between a plan as it was and as it becomes.
 *
 * @param what {@code Volume: 4 → 2 weeks}
 * @param why a sentence
 */
public record Changed(String what, String why) {}
