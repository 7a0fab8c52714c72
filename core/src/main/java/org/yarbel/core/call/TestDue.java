package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.mass.Mass;

/** A tested max that is old, with nothing near it lifted since. */
final class TestDue implements CallRule {
  private static final double NEAR = 0.92;
  private static final int TRAINED_DAYS = 21;
  private static final int CONTEST_DAYS = 28;

  @Override
  public String key() {
    return "test-due";
  }

  @Override
  public String title() {
    return "a test is due";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "A tested max older than twelve weeks and no set within 92–100 % of the max for six: a single @9, or a mock contest.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_TEST_WEEKS, CallFigure.CALL_HEAVY_WEEKS);
  }

  @Override
  public List<Call> look(Picture picture) {
    List<Call> calls = new ArrayList<>();
    Picture.Contest contest = picture.contest();
    if (contest != null && contest.day().isBefore(picture.today().plusDays(CONTEST_DAYS))) {
      return calls;
    }
    new TreeMap<>(picture.lifts()).values().forEach(lift -> of(picture, lift).ifPresent(calls::add));
    return calls;
  }

  private Optional<Call> of(Picture picture, Picture.OfLift known) {
    LocalDate on = known.testedOn();
    String key = known.lift().key();
    Mass max = picture.context().numbers(known.lift()).best();
    List<Past> exposures = picture.exposures(key);
    boolean trained = !exposures.isEmpty() && exposures.get(0).day().isAfter(picture.today().minusDays(TRAINED_DAYS));
    boolean old = on != null && on.isBefore(picture.today().minusWeeks((long) picture.of(CallFigure.CALL_TEST_WEEKS)));
    if (max == null || !trained || !old || picture.remembered(key) || picture.hurts(known.lift())) {
      return Optional.empty();
    }
    LocalDate since = picture.today().minusWeeks((long) picture.of(CallFigure.CALL_HEAVY_WEEKS));
    boolean heavy = exposures.stream().filter(past -> past.day().isAfter(since)).flatMap(past -> past.sets().stream())
        .anyMatch(set -> set.reps() > 0 && set.load().ratioTo(max) >= NEAR);
    List<Effect> test = NumbersMoved.test(picture, key);
    if (heavy || test.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(Draft.of(this, key).agreeing(1).because(new Fact(Fact.Kind.NUMBER, key + "@" + on,
        Objects.requireNonNull(on), known.lift().name() + " tested at " + (known.tested() == null ? "" : known.tested().text())
            + " on " + on)).propose("A single @9 before the next work", test).leave("Not now").saying(known.lift().name()
                + ": the tested max is of " + Say.day(on) + " " + on.getYear() + ", and nothing over 92 % was lifted for "
                + Say.number(picture.of(CallFigure.CALL_HEAVY_WEEKS)) + " weeks."));
  }
}
