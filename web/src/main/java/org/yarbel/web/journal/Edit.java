package org.yarbel.web.journal;

/** Does something to a lifter's plan; lines begun it leaves alone. */
@FunctionalInterface
public interface Edit {
  void apply();
}
