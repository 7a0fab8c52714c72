package org.yarbel.core.call;

import java.util.List;

/**
 * One thing that could be done, such as 'the next exposures 5 % lighter'. The first of a call is what we would do; where schools
 * differ the others stand beside it.
 *
 * @param words what it does, in a few words
 * @param effects none where the plan stays as it is
 */
public record Proposal(String words, List<Effect> effects) {
  public Proposal {
    effects = List.copyOf(effects);
  }

  /** One that leaves the plan as it is. */
  public static Proposal nothing(String words) {
    return new Proposal(words, List.of());
  }
}
