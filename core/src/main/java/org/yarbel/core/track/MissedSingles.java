package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;

/**
 * What missed singles ask for. They feed proposals, not the tracker.
 *
 * <p>Our own default. Two misses on different days within 28, with no single made at or above the lighter between them:
 * propose a max halfway between the heaviest single made below it and that load. One missed under 98 % of an estimate
 * that comes from sets of several reps is a sign of skill, not strength: propose 6–8 weeks of singles at 80–95 % with the
 * volume at 70–85 %.
 */
public final class MissedSingles {
  private static final int DAYS = 28;
  private static final double SKILL_SHARE = 0.98;

  private MissedSingles() {}

  /** A single that was tried. */
  public record Single(LocalDate date, Mass load, boolean made) {}

  /** A max to work with, and the misses it comes from. */
  public record LowerMax(Mass proposed, Single first, Single second) {}

  /** The lower max to propose from the newest two misses that ask for one; empty when none do. */
  public static Optional<LowerMax> lowerMax(List<Single> log) {
    List<Single> ordered = log.stream().sorted(Comparator.comparing(Single::date)).toList();
    List<Single> misses = ordered.stream().filter(single -> !single.made()).toList();
    List<LowerMax> found = new ArrayList<>();
    for (int j = 1; j < misses.size(); j++) {
      for (int i = 0; i < j; i++) {
        Single first = misses.get(i);
        Single second = misses.get(j);
        Mass lighter = first.load().compareTo(second.load()) < 0 ? first.load() : second.load();
        long apart = ChronoUnit.DAYS.between(first.date(), second.date());
        if (apart >= 1 && apart <= DAYS && !madeBetween(ordered, lighter, first.date(), second.date())) {
          ordered.stream()
              .filter(single -> single.made() && single.load().compareTo(lighter) < 0)
              .map(Single::load)
              .max(Mass::compareTo)
              .ifPresent(made -> found.add(new LowerMax(halfway(made, lighter), first, second)));
        }
      }
    }
    return found.isEmpty() ? Optional.empty() : Optional.of(found.get(found.size() - 1));
  }

  /** Whether a missed single is a sign of skill: it was under 98 % of an estimate from sets of several reps. */
  public static boolean signOfSkill(Single missed, Mass repsBasedEstimate) {
    return !missed.made() && missed.load().ratioTo(repsBasedEstimate) < SKILL_SHARE;
  }

  private static boolean madeBetween(List<Single> log, Mass least, LocalDate from, LocalDate to) {
    return log.stream().anyMatch(single -> single.made() && single.load().compareTo(least) >= 0
        && !single.date().isBefore(from) && !single.date().isAfter(to));
  }

  private static Mass halfway(Mass made, Mass missed) {
    return Mass.ofNanograms((made.nanograms() + missed.nanograms()) / 2, missed.unit());
  }
}
