package org.yarbel.web.lifter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;
import org.yarbel.web.form.Typed;

/** Reads a load, its reps, how hard it was and its day. */
final class EntryReader {
  /** How hard a set can be said to have been, with the words for it. */
  static final List<How> HOW = how();

  /** One way. */
  record How(String key, String word) {}

  private static final int MOST_RATED_REPS = 10;
  private static final String FAILURE = "failure";
  private static final String EASIER = "easier";

  // rising, so that the keys @ and 8 find @8 before @8.5
  private static List<How> how() {
    List<How> all = new ArrayList<>(List.of(new How("tested", "tested max"), new How(FAILURE, "to failure"),
        new How(EASIER, "easier than " + Rpe.MIN)));
    Rpe.scale().forEach(rpe -> all.add(new How(rpe.toString(), "@" + rpe)));
    return List.copyOf(all);
  }

  /** How hard a told set was, as its field says it. */
  static String how(Observation set) {
    if (set.is(Observation.Trait.EASIER)) {
      return EASIER;
    }
    return set.rpe() == null ? FAILURE : set.rpe().toString();
  }

  /** The same in words behind a set. */
  static String words(Observation set) {
    String how = how(set);
    return HOW.stream().filter(one -> one.key().equals(how)).findFirst().map(How::word).orElse("@" + how);
  }

  private final Typed typed;
  private final String suffix;
  private final MassUnit unit;
  private final LocalDate today;

  /** @param suffix of the fields' names, {@code .1} for {@code load.1} */
  EntryReader(Typed typed, String suffix, MassUnit unit, LocalDate today) {
    this.typed = typed;
    this.suffix = suffix;
    this.unit = unit;
    this.today = today;
  }

  /** Whether anything was typed. */
  boolean anything() {
    return !typed.empty("load" + suffix) || !typed.empty("reps" + suffix);
  }

  /** The entry; null when nothing was typed, or nothing that can be. */
  @Nullable Entry read() {
    if (!anything()) {
      return null;
    }
    Mass load = typed.mass("load" + suffix, unit);
    if (typed.empty("load" + suffix)) {
      typed.wrong("load" + suffix, "Write the load, too.");
    }
    LocalDate day = typed.past("on" + suffix, today);
    if (typed.empty("on" + suffix)) {
      day = today;
    }
    String how = typed.text("how" + suffix);
    if (how.isEmpty()) {
      typed.wrong("how" + suffix, "Say how hard it was: a set says nothing about the max without that.");
      return null;
    }
    if (how.equals("tested")) {
      return load == null || day == null ? null : Entry.tested(load, day);
    }
    boolean unrated = how.equals(FAILURE) || how.equals(EASIER);
    Rpe rpe = unrated ? null : typed.rpe("how" + suffix);
    Integer reps = typed.whole("reps" + suffix, "The reps", 1, 15);
    if (typed.empty("reps" + suffix)) {
      typed.wrong("reps" + suffix, "Write the reps, too.");
    }
    boolean far = rpe != null && reps != null && EffortChart.repsToFailure(reps, rpe.value()) > RepMaxCurve.MAX_REPS_TO_FAILURE;
    if (reps != null && !how.equals(FAILURE) && (reps > MOST_RATED_REPS || far)) {
      typed.wrong("reps" + suffix, "A rated set of more than ten reps says too little about the max; ten or fewer do, or a set "
          + "to failure.");
      return null;
    }
    return load == null || reps == null || day == null || !unrated && rpe == null ? null
        : Entry.of(Observation.of(day, load, reps, rpe).with(Observation.Trait.EASIER, how.equals(EASIER))
            .with(Observation.Trait.FAILED, how.equals(FAILURE)));
  }
}
