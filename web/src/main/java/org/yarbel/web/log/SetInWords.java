package org.yarbel.web.log;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** A logged set in the words of the gym: what was done, and what had been asked. */
public record SetInWords(LoggedSetRow row) {
  public static SetInWords of(LoggedSetRow row) {
    return new SetInWords(row);
  }

  /** All of it: {@code 182.5 kg × 1 @8}, {@code 140 kg, 20 m in 38 s}, or what was missed. */
  public String words() {
    String load = row.load().text();
    if (row.reps() == 0) {
      return load + ", no rep made" + ending();
    }
    return measure().isEmpty() ? load + " × " + row.reps() + rating() + ending()
        : load + (row.reps() > 1 ? " × " + row.reps() : "") + ", " + measure() + rating();
  }

  /** The same in a unit, without it: {@code 182.5 × 1 @8}. */
  public String done(MassUnit unit) {
    String load = row.load().shownIn(unit).number();
    String made = load + (measure().isEmpty() ? " × " + row.reps() : ", " + measure()) + rating();
    return (row.reps() == 0 ? load + " missed" : made) + ending();
  }

  /** Whether anything was done otherwise than asked: another load, fewer reps, less far or long, another lift, or nothing was asked. */
  public boolean offPlan() {
    Mass asked = row.asked();
    boolean load = asked != null && !asked.hits(row.load());
    boolean shorter = less(row.doneTenths(), row.askedTenths()) || less(row.doneCentimetres(), row.askedCentimetres());
    return load || shorter || less(row.reps(), row.askedReps()) || row.askedLift() != null || row.extra();
  }

  private static boolean less(@Nullable Integer done, @Nullable Integer asked) {
    return done != null && asked != null && done < asked;
  }

  /**
   * What was asked: {@code asked 155 × 4}, {@code asked Squat 155, 20 m}; empty where the lifter picked all of it.
   *
   * @param other the lift that was asked where another was done
   */
  public String asked(MassUnit unit, Optional<Lift> other) {
    if (row.extra()) {
      return "beside the plan";
    }
    List<String> words = new ArrayList<>();
    other.map(Lift::name).ifPresent(words::add);
    if (row.asked() != null) {
      words.add(row.asked().shownIn(unit).number());
    }
    String measure = measure(row.askedCentimetres(), row.askedTenths());
    String what = measure.isEmpty() && row.askedReps() != null ? "× " + row.askedReps() : measure;
    if (!what.isEmpty()) {
      words.add(what);
    }
    Chosen chosen = row.state().chosen();
    String which = chosen == null ? "" : ", taken " + chosen.word();
    return words.isEmpty() ? "" : "asked " + String.join(" ", words) + which;
  }

  /** How it ended, with a comma before it: {@code , form went}; empty where nobody said, and of a plain miss. */
  private String ending() {
    if (row.stopped() != null) {
      return ", " + row.stopped().word();
    }
    boolean plain = row.ended() == null || row.reps() == 0 && row.ended().failed();
    return plain ? "" : ", " + row.ended().word();
  }

  /** The rating with a space before it: {@code @8}, {@code easier than 6}; empty where nobody rated it. */
  private String rating() {
    if (row.easier()) {
      return " easier than " + Rpe.MIN;
    }
    String unrated = row.failedUnsaid() ? " to failure" : "";
    return row.rpe() == null ? unrated : " @" + row.rpe();
  }

  /** How far and how long: {@code 20 m in 38 s}; empty where neither was said. */
  private String measure() {
    return measure(row.doneCentimetres(), row.doneTenths());
  }

  private static String measure(@Nullable Integer centimetres, @Nullable Integer tenths) {
    String far = centimetres == null ? "" : BigDecimal.valueOf(centimetres, 2).stripTrailingZeros().toPlainString() + " m";
    String took = tenths == null ? "" : seconds(tenths) + " s";
    return far + (far.isEmpty() || took.isEmpty() ? "" : " in ") + took;
  }

  /** Tenths of a second as seconds: {@code 11.4}. */
  public static String seconds(int tenths) {
    return BigDecimal.valueOf(tenths, 1).stripTrailingZeros().toPlainString();
  }
}
