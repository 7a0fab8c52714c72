package org.yarbel.core.card;

import java.util.Objects;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Work;

/** What is to be minded of one part of a line, by the kind of its work, what hangs on the bar and the lifter's level. */
record PartCautions(Progress progress, Part part, int number, Hanging hanging) {
  /** Under this RPE an open set that is capped is not near failure. Our own default. */
  private static final double NEAR_FAILURE = 9;

  /** Says them where the line's others are said. */
  void say() {
    switch (part.work().kind()) {
      case NEGATIVE -> negativeCautions();
      case MAX -> {
        progress.caution(Caution.spotters(), number);
        backCaution();
        levelCaution("Maxes and near-maxes are", false);
      }
      case TIMED, DENSITY -> backCaution();
      case SETS -> openCautions();
      default -> { }
    }
    if (hanging.any()) {
      hangingCautions();
    }
  }

  private void openCautions() {
    boolean open = ((Work.SetsOfReps) part.work()).open();
    boolean shortOfFailure = part.option(Option.Cap.class).filter(cap -> cap.rpe().value() < NEAR_FAILURE).isPresent();
    if (open && !shortOfFailure) {
      progress.caution(Caution.openSet(), number);
      backCaution();
    }
  }

  private void backCaution() {
    if (progress.request().movement().fromFloor()) {
      progress.caution(Caution.lowerBack(), number);
    }
  }

  private void negativeCautions() {
    progress.caution(Caution.negative(), number);
    levelCaution("Assisted negatives are", true);
    Mass max = progress.request().numbers().best();
    progress.entries().stream().map(Progress.Entry::now).filter(set -> set.part() == number).map(ResolvedSet::load).filter(Objects::nonNull)
        .max(Mass::compareTo).filter(load -> max != null && load.compareTo(max) > 0)
        .ifPresent(load -> progress.caution(Caution.spottersCarry(load.text(), load.minus(Objects.requireNonNull(max))
            .shownIn(progress.request().unit()).text()), number));
  }

  private void hangingCautions() {
    boolean reverse = part.option(Option.Reverse.class).isPresent();
    if (reverse || part.option(Option.Bands.class).isPresent()) {
      progress.caution(Caution.bandPair(), number);
    }
    levelCaution(reverse ? "Reverse bands are" : "Bands and chains are", false);
    for (Progress.Entry entry : progress.entries()) {
      Mass load = entry.now().load();
      if (reverse && entry.now().part() == number && load != null && load.compareTo(hanging.held()) <= 0) {
        progress.caution(Caution.barFloats(load.text(), hanging.held().shownIn(progress.request().unit()).text()), number);
      }
    }
  }

  private void levelCaution(String method, boolean advancedOnly) {
    Level level = progress.request().level();
    if (level == Level.BEGINNER || level == Level.INTERMEDIATE && (advancedOnly || hanging.any())) {
      progress.caution(Caution.level(method, level), number);
    }
  }
}
