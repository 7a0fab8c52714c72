package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.SpeedProfile;

/** The bar moves slower than this lifter's own line says, twice running. */
final class Slower implements LiftRule {
  private static final int EXPOSURES = 2;
  private static final int NEWS = 14;

  @Override
  public String key() {
    return "slower";
  }

  @Override
  public String title() {
    return "bar speed";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public String when() {
    return "0.05 m/s slower at its load than this lifter's line on two exposures: counts as a sign for a deload, and as evidence beside "
        + "the rating.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_SLOWER);
  }

  /** The exposures that were slower, the newest first. */
  record Found(List<Past> slow, List<Fact> facts, double by) {
    LocalDate newest() {
      return slow.get(0).day();
    }
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    return found(picture, lift).filter(found -> found.newest().isAfter(picture.today().minusDays(NEWS)))
        .map(found -> Draft.of(this, lift).agreeing(found.slow().size()).because(found.facts()).leave("Noted")
            .saying(picture.name(lift) + ": " + Say.number(Math.round(100 * found.by())) + " cm/s slower than the lifter's own "
                + "line on the last " + found.slow().size() + " exposures. It counts as a sign for a deload; look at the ratings of those "
                + "sets."));
  }

  /** What was slower of a lift: its newest exposures against the line of those before. */
  static Optional<Found> found(Picture picture, String lift) {
    List<Past> measured = picture.exposures(lift).stream().filter(past -> past.sets().stream().anyMatch(set -> set.speeds() != null
        && set.reps() > 0)).toList();
    Mass max = picture.context().numbers(picture.context().lift(lift)).best();
    if (measured.size() <= EXPOSURES || max == null) {
      return Optional.empty();
    }
    List<SpeedProfile.Point> before = measured.subList(EXPOSURES, measured.size()).stream().flatMap(past -> past.sets().stream())
        .filter(set -> set.speeds() != null && set.reps() > 0).map(set -> new SpeedProfile.Point(set.load(), speed(set), null)).toList();
    SpeedProfile line;
    try {
      line = SpeedProfile.fit(before, max);
    } catch (Refused tooFew) {
      return Optional.empty();
    }
    List<Past> slow = new ArrayList<>();
    List<Fact> facts = new ArrayList<>();
    double by = 0;
    for (Past past : measured.subList(0, EXPOSURES)) {
      double behind = past.sets().stream().filter(set -> set.speeds() != null && set.reps() > 0)
          .mapToDouble(set -> line.velocity(set.load()) - speed(set)).average().orElse(0);
      if (behind < picture.of(CallFigure.CALL_SLOWER)) {
        return Optional.empty();
      }
      slow.add(past);
      by += behind / EXPOSURES;
      past.sets().stream().filter(set -> set.speeds() != null).forEach(set -> facts.add(Say.fact(past.day(), set)));
    }
    return Optional.of(new Found(slow, facts, by));
  }

  private static double speed(Picture.Lifted set) {
    return set.speeds() == null ? 0 : set.speeds().best() / 1000.0;
  }
}
