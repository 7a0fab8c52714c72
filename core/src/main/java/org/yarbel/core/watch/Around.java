package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.CountedLine;

/**
 * What stands around a week: what its first days follow on, and what comes after it.
 *
 * @param today the day it is looked at: what is measured today judges no week to come
 * @param before the lines of the days before its Monday, as they were trained or are planned
 * @param deloadFollows whether the week after it is an easy one
 * @param clusters the last round of clusters of each lift that came short, by key of the lift
 */
public record Around(LocalDate today, List<CountedLine> before, boolean deloadFollows, Map<String, ShortCluster> clusters) {
  /** A cluster whose round came short. */
  public record ShortCluster(LocalDate day, Mass load, int singles) {}

  public Around {
    before = List.copyOf(before);
    clusters = Map.copyOf(clusters);
  }

  /** Nothing around it. */
  public static Around nothing(LocalDate today) {
    return new Around(today, List.of(), false, Map.of());
  }
}
