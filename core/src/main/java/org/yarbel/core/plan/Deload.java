package org.yarbel.core.plan;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.RpeTarget;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;

/** The ways to take an easy week. Schools differ, so all four are here. Common practice, no source. */
public enum Deload {
  /** The same exercises with half the load otherwise planned. */
  HALF_LOAD("half the load", "The same exercises at half the load that was planned.", 55, null),
  /** About half the sets; the heavy ones stay. */
  LESS_VOLUME("half the volume", "Half the sets, a heavy single stays: intensity is kept.", null, Deload.HARDEST),
  /** Light practice of the lifts. */
  LIGHT_TECHNIQUE("light technique", "Three light triples of each lift, for the skill.", 70, 6.0),
  /** Nothing; a short dip may follow. */
  DAYS_OFF("days off", "No training. Expect a short dip before it pays.", 0, null);

  private static final WorkLine LIGHT = PartOf.sets(3, 3).percent(60).line();
  private static final double HALF = 0.5;
  private static final double HARDEST = 8.5;
  private static final int OPEN_REPS = 5;
  private static final BigDecimal LEAST = BigDecimal.valueOf(HALF);
  private static final int FEWEST_WEEKS = 4;

  private final String word;
  private final String meaning;
  private final @Nullable Integer ceilingPercent;
  private final @Nullable Double ceilingRpe;

  Deload(String word, String meaning, @Nullable Integer ceilingPercent, @Nullable Double ceilingRpe) {
    this.word = word;
    this.meaning = meaning;
    this.ceilingPercent = ceilingPercent;
    this.ceilingRpe = ceilingRpe;
  }

  /** The words a person reads: {@code half the load}. */
  public String word() {
    return word;
  }

  /** What is done, in a sentence. */
  public String meaning() {
    return meaning;
  }

  /** No work set is meant to be over this share of the max; null where it is the effort that counts. */
  public @Nullable Integer ceilingPercent() {
    return ceilingPercent;
  }

  /** No work set is meant to be harder than this; null where it is the load that counts. */
  public @Nullable Double ceilingRpe() {
    return ceilingRpe;
  }

  /** The ceiling in words: {@code nothing over 70 % nor over RPE 6}. */
  public String ceiling() {
    if (this == DAYS_OFF) {
      return "nothing at all";
    }
    String percent = ceilingPercent == null ? "" : " over " + ceilingPercent + " %";
    String rpe = ceilingRpe == null ? "" : " over RPE " + (ceilingRpe % 1 == 0 ? Integer.toString(ceilingRpe.intValue())
        : ceilingRpe.toString());
    return "nothing" + percent + (percent.isEmpty() || rpe.isEmpty() ? "" : " nor") + rpe;
  }

  /**
   * After how many weeks an easy one is due: every 4–6 when heavy training, advanced, dieting, stressed or in a physical
   * job, at most 6 for most, 8–12 for beginners.
   *
   * @param least earlier asks whether the volume sits on lifts that cost too much
   */
  public record Interval(int least, int most) {
    /** The interval for a level and a life. */
    public static Interval of(@Nullable Level level, boolean strained) {
      if (strained || level == Level.ADVANCED) {
        return new Interval(FEWEST_WEEKS, 6);
      }
      return level == Level.BEGINNER ? new Interval(8, 12) : new Interval(5, 6);
    }
  }

  /** What to think of when an easy week is wanted after so few; empty when it is not. Common practice, no source. */
  public static Optional<String> often(int weeks) {
    return weeks >= FEWEST_WEEKS ? Optional.empty()
        : Optional.of("Needed more often than every " + FEWEST_WEEKS + " weeks? First move volume to lifts that cost less.");
  }

  /**
   * A line as it is done in such a week; empty when it is left out.
   *
   * @param work in normal form
   * @param chart for loads that an RPE says
   */
  public Optional<WorkLine> applied(WorkLine work, EffortChart chart) {
    return switch (this) {
      case DAYS_OFF -> Optional.empty();
      case LIGHT_TECHNIQUE -> Optional.of(byShare(work) ? LIGHT : half(work, chart));
      case HALF_LOAD -> Optional.of(half(work, chart));
      case LESS_VOLUME -> Optional.of(fewer(work));
    };
  }

  private static boolean byShare(WorkLine work) {
    return work.parts().stream()
        .anyMatch(part -> part.rpe() != null || part.load() instanceof Load.Percent || part.work() instanceof Work.Max);
  }

  private static WorkLine half(WorkLine work, EffortChart chart) {
    List<Part> parts = new ArrayList<>();
    for (Part part : work.parts()) {
      Part easy = plain(easy(part, chart));
      // what followed the heavy set from it would be nothing on its own
      if (easy.load() == null && !parts.isEmpty() && part.load() != null && part.load().needsTop()) {
        easy = plain(new Part(easy.work(), parts.get(0).load(), null, easy.options()));
      }
      parts.add(easy);
    }
    return new WorkLine(parts);
  }

  /** Without the point a load is meant at where that says nothing any more. */
  private static Part plain(Part part) {
    boolean share = part.load() instanceof Load.Percent;
    return share ? part : new Part(part.work(), part.load(), part.rpe(), part.options().stream()
        .filter(option -> !(option instanceof Option.At)).toList());
  }

  private static Part easy(Part part, EffortChart chart) {
    Work closed = closed(part.work());
    List<Option> options = part.work().getClass().equals(closed.getClass())
        ? part.options().stream().filter(option -> !(option instanceof Option.Cap || option instanceof Option.Until)).toList() : List.of();
    Load load = part.load();
    if (load instanceof Load.Percent percent) {
      return new Part(closed, new Load.Percent(half(percent.from()), null, percent.basis(), percent.lift()), null, options);
    }
    if (load instanceof Load.OfMass mass) {
      return new Part(closed, new Load.OfMass(halved(mass.mass())), null, options);
    }
    if (load == null && (part.rpe() != null || part.work() instanceof Work.Max)) {
      double rpe = part.rpe() == null ? 10 : part.rpe().middle();
      OptionalDouble share = chart.fraction(least(closed), rpe);
      return new Part(closed, share.isEmpty() ? null : new Load.Percent(half(BigDecimal.valueOf(100 * share.getAsDouble())), null,
          Basis.ESTIMATED, null), null, options);
    }
    return new Part(closed, load != null && load.needsTop() ? null : load, null, options);
  }

  /** Open, maximal and dense work becomes plain sets of the least that was asked. */
  private static Work closed(Work work) {
    if (work instanceof Work.SetsOfReps sets) {
      Integer least = sets.reps().least();
      return !sets.open() ? work : new Work.SetsOfReps(sets.sets(), new Reps.Exactly(least == null ? OPEN_REPS : least));
    }
    return switch (work.kind()) {
      case BUILD, MAX, CLUSTER, DENSITY, NEGATIVE -> new Work.SetsOfReps(3, new Reps.Exactly(3));
      case SERIES -> series((Work.Series) work);
      default -> work;
    };
  }

  private static Work series(Work.Series series) {
    return new Work.Series(series.masses().subList(0, Math.max(1, series.masses().size() / 2)));
  }

  private static double least(Work work) {
    return work instanceof Work.SetsOfReps sets && sets.reps().least() != null ? sets.reps().least() : 1;
  }

  private static BigDecimal half(BigDecimal percent) {
    BigDecimal halved = percent.multiply(BigDecimal.valueOf(HALF)).setScale(1, RoundingMode.HALF_UP).max(LEAST).stripTrailingZeros();
    return halved.scale() < 0 ? halved.setScale(0, RoundingMode.UNNECESSARY) : halved;
  }

  private static Mass halved(Mass mass) {
    // to a step that plates make, the lower of two equally near
    BigDecimal step = mass.unit().usualStep();
    BigDecimal half = mass.amountIn(mass.unit(), 2).multiply(BigDecimal.valueOf(HALF));
    BigDecimal amount = half.compareTo(step) < 0 ? half.setScale(1, RoundingMode.HALF_UP)
        : half.divide(step, 0, RoundingMode.HALF_DOWN).multiply(step);
    return Mass.of(amount.max(BigDecimal.ONE), mass.unit());
  }

  private static WorkLine fewer(WorkLine work) {
    List<Part> parts = work.parts().stream().map(Deload::fewer).toList();
    return new WorkLine(parts);
  }

  private static Part fewer(Part part) {
    Work work = part.work();
    RpeTarget rpe = part.rpe() != null && part.rpe().middle() > HARDEST ? new RpeTarget(Rpe.of(HARDEST), null) : part.rpe();
    if (work instanceof Work.SetsOfReps sets) {
      Integer least = sets.reps().least();
      Reps reps = sets.reps() instanceof Reps.AtLeast || least == null ? new Reps.Exactly(least == null ? OPEN_REPS : least) : sets.reps();
      work = new Work.SetsOfReps(Math.max(1, sets.sets() / 2), reps);
    } else {
      work = switch (work.kind()) {
        case MAX -> new Work.SetsOfReps(1, new Reps.Exactly(1));
        default -> work;
      };
      rpe = part.work() instanceof Work.Max ? new RpeTarget(Rpe.of(8), null) : rpe;
    }
    return new Part(work, part.load(), rpe, part.options());
  }
}
