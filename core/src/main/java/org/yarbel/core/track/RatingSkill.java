package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;

/**
 * How well a lifter tells the reps left in a lift, by pairs: a rated set, and one to failure at about the same load in the same days.
 * Our own default, all of it; the tracker learns the same from all sets at once, this shows what says so.
 *
 * @param pairs the oldest first
 * @param bias mean of the last ten, drawn towards 0 while they are few: over 0 more reps were said to be left than were
 * @param spread standard deviation of the last ten; null under three
 * @param lastOpen the day of the newest set that was open or went to failure; null without one
 */
public record RatingSkill(List<Pair> pairs, double bias, @Nullable Double spread, @Nullable LocalDate lastOpen) {
  /** The two loads of a pair are as near as this share. */
  private static final double SAME_LOAD = 0.025;
  private static final int SAME_DAYS = 7;
  private static final int LAST = 10;
  private static final int DRAWN = 3;
  /** More than a rep off is too far for loads to hang on. */
  private static final double TOO_FAR = 1;
  /** A set that nobody stops is wanted once in so many days. */
  private static final int CHECK_EVERY = 42;
  /** Practice ends when ratings stayed within a rep for so many days, with three pairs at least. */
  private static final int PRACTICE_DAYS = 56;
  private static final int PRACTICE_PAIRS = 3;

  /**
   * A made set.
   *
   * @param rpe null unrated
   * @param failed whether one more rep was tried and missed
   * @param open whether as many as go were asked
   */
  public record Rated(LocalDate day, Mass load, int reps, @Nullable Rpe rpe, boolean failed, boolean open) {}

  /**
   * A rated set, the one that tells what was truly left, and by how many reps the rating was off.
   *
   * @param off over 0: fewer reps were left than said
   */
  public record Pair(Rated rated, Rated failed, double off) {}

  /** Draws it up from the made sets of one lift, in the order they were lifted. */
  public static RatingSkill of(List<Rated> log) {
    List<Rated> failed = log.stream().filter(set -> set.failed() && set.reps() > 0).toList();
    List<Pair> pairs = new ArrayList<>();
    log.stream().filter(set -> set.rpe() != null && !set.failed() && set.reps() > 0)
        .forEach(set -> tells(set, failed).ifPresent(other -> pairs.add(new Pair(set, other, off(set, other)))));
    pairs.sort(Comparator.comparing(pair -> pair.rated().day()));
    List<Pair> last = pairs.subList(Math.max(0, pairs.size() - LAST), pairs.size());
    double sum = last.stream().mapToDouble(Pair::off).sum();
    return new RatingSkill(List.copyOf(pairs), sum / (last.size() + DRAWN), spread(last), log.stream()
        .filter(set -> set.failed() || set.open()).map(Rated::day).max(Comparator.naturalOrder()).orElse(null));
  }

  private static Optional<Rated> tells(Rated set, List<Rated> failed) {
    return failed.stream().filter(other -> Math.abs(ChronoUnit.DAYS.between(set.day(), other.day())) <= SAME_DAYS
        && Math.abs(other.load().ratioTo(set.load()) - 1) <= SAME_LOAD)
        .min(Comparator.comparingLong(other -> Math.abs(ChronoUnit.DAYS.between(set.day(), other.day()))));
  }

  private static double off(Rated set, Rated failed) {
    double claimed = set.rpe() == null ? 0 : set.rpe().repsInReserve();
    return claimed - (failed.reps() - set.reps());
  }

  private static @Nullable Double spread(List<Pair> last) {
    if (last.size() < PRACTICE_PAIRS) {
      return null;
    }
    double mean = last.stream().mapToDouble(Pair::off).average().orElseThrow();
    return Math.sqrt(last.stream().mapToDouble(pair -> (pair.off() - mean) * (pair.off() - mean)).sum() / (last.size() - 1));
  }

  /** Whether loads had better not hang on ratings: percentages with a cap do better. */
  public boolean tooFarOff() {
    return Math.abs(bias) > TOO_FAR || spread != null && spread > TOO_FAR;
  }

  /** The day the next set that nobody stops is due: at once where ratings are too far off or none was there yet. */
  public LocalDate checkDue(LocalDate today) {
    LocalDate next = lastOpen == null ? today : lastOpen.plusDays(CHECK_EVERY);
    return tooFarOff() || next.isBefore(today) ? today : next;
  }

  /** Whether somebody who rates for practice has stayed within a rep for eight weeks, so that the ratings can steer. */
  public boolean practised() {
    int from = pairs.size();
    while (from > 0 && Math.abs(pairs.get(from - 1).off()) <= TOO_FAR) {
      from--;
    }
    List<Pair> run = pairs.subList(from, pairs.size());
    return run.size() >= PRACTICE_PAIRS
        && ChronoUnit.DAYS.between(run.get(0).rated().day(), run.get(run.size() - 1).rated().day()) >= PRACTICE_DAYS;
  }

  /** In words: {@code says 0.8 reps too many are left, ± 0.6, by 6 pairs}. */
  public String words() {
    if (pairs.isEmpty()) {
      return "nothing tells yet";
    }
    double shown = Math.rint(10 * bias) / 10;
    String far = shown == 0 ? "about right" : "says " + Math.abs(shown) + (Math.abs(shown) == 1 ? " rep" : " reps")
        + (shown > 0 ? " too many are left" : " too few are left");
    return far + (spread == null ? "" : ", ± " + Math.rint(10 * spread) / 10) + ", by " + Count.of(pairs.size(), "pair");
  }
}
