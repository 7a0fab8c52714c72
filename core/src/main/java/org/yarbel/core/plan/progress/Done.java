package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * An exposure that lies behind, with all its sets logged, or ended before its last.
 *
 * @param number of the exposure, from 0
 * @param lift what was lifted, a key
 * @param sets of its first line, in order
 * @param cut why some of its sets were neither made nor missed; null where all were
 * @param setAside why it neither raises nor lowers anything; null when it counts
 */
public record Done(int number, String lift, List<DoneSet> sets, @Nullable Aside cut, @Nullable Aside setAside) {
  /** Why an exposure is repeated and does not count. */
  public enum Aside {
    /** Missed while something was off. */
    FLAGGED("Something was off when it was missed, so it is repeated and counts for nothing yet."),
    /** Ended before its last set. */
    CUT("It was ended before its last set, so it is repeated."),
    /** Something else was lifted in its place. */
    OTHER_LIFT("Another lift was done in its place, so it is repeated.");

    private final String why;

    Aside(String why) {
      this.why = why;
    }

    /** The sentence a person reads. */
    public String why() {
      return why;
    }
  }

  /** One with all its sets. */
  public Done(int number, String lift, List<DoneSet> sets) {
    this(number, lift, sets, null, null);
  }

  /**
   * One set.
   *
   * @param part of the line, from 1
   * @param asked the least reps that were asked; null when open
   * @param open whether as many as possible were asked
   * @param flagged whether something was off
   */
  public record DoneSet(int part, Mass load, int reps, @Nullable Integer asked, boolean open, boolean flagged) {
    /** One with nothing off. */
    public DoneSet(int part, Mass load, int reps, @Nullable Integer asked, boolean open) {
      this(part, load, reps, asked, open, false);
    }

    /** Whether fewer reps were made than were asked at the least. */
    public boolean missed() {
      return asked != null && reps < asked;
    }
  }

  public Done {
    sets = List.copyOf(sets);
  }

  /** Flagged misses running that are repeated; from the next on they count. Our own default, as the tracker has it. */
  private static final int FLAGS_DISCOUNTED = 2;

  /**
   * The exposures with those marked that do not count: ended before the last set without a miss, or missed while something was
   * off. The third flagged miss running counts.
   *
   * @param all in order
   */
  static List<Done> marked(List<Done> all) {
    List<Done> marked = new ArrayList<>();
    int running = 0;
    for (Done done : all) {
      boolean offMiss = done.sets.stream().anyMatch(set -> set.missed() && set.flagged());
      running = offMiss ? running + 1 : 0;
      Aside cutShort = done.cut != null && done.minimumMade() ? done.cut : null;
      marked.add(new Done(done.number, done.lift, done.sets, done.cut, offMiss && running <= FLAGS_DISCOUNTED ? Aside.FLAGGED : cutShort));
    }
    return marked;
  }

  /** Those that count. */
  static List<Done> counting(List<Done> marked) {
    return marked.stream().filter(done -> done.setAside == null).toList();
  }

  /** Whether every set had the least that was asked. */
  boolean minimumMade() {
    return sets.stream().noneMatch(DoneSet::missed);
  }

  long missedSets() {
    return sets.stream().filter(DoneSet::missed).count();
  }

  /** The load of the first set. */
  Mass load() {
    return sets.get(0).load();
  }

  Optional<Mass> heaviestMade() {
    return sets.stream().filter(set -> set.reps() > 0).map(DoneSet::load).max(Comparator.naturalOrder());
  }

  DoneSet last() {
    return sets.get(sets.size() - 1);
  }
}
