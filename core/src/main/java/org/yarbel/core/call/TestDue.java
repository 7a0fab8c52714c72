package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;
import org.yarbel.core.plan.SlotKind;

/** A tested max that is old, with nothing near it lifted since. */
final class TestDue implements CallRule {
  private static final double NEAR = 0.92;
  private static final int TRAINED_DAYS = 21;
  private static final int CONTEST_DAYS = 28;
  private static final int MOCK_LIFTS = 3;
  private static final int MOCK_FROM = 4;
  private static final int MOCK_UNTIL = 15;
  private static final double MOCK_RPE = 9.5;
  private static final List<String> ORDER = List.of("squat", "bench", "deadlift");

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

  /** A lift whose test is due. */
  private record Due(Picture.OfLift lift, LocalDate on, List<Effect> test) {
    Fact fact() {
      Mass tested = lift.tested();
      return new Fact(Fact.Kind.NUMBER, lift.lift().key() + "@" + on, on, lift.lift().name() + " tested" + (tested == null ? ""
          : " at " + tested.text()) + " on " + Say.day(on) + " " + on.getYear());
    }
  }

  /** One call for all of them: nobody tests three lifts because of three calls. */
  @Override
  public List<Call> look(Picture picture) {
    Picture.Contest contest = picture.contest();
    if (contest != null && contest.day().isBefore(picture.today().plusDays(CONTEST_DAYS))) {
      return List.of();
    }
    List<Due> due = new TreeMap<>(picture.lifts()).values().stream().map(lift -> of(picture, lift)).flatMap(Optional::stream).toList();
    if (due.isEmpty()) {
      return List.of();
    }
    Draft draft = Draft.of(this, due.size() == 1 ? due.get(0).lift().lift().key() : "").agreeing(1);
    due.forEach(one -> draft.because(one.fact()));
    String names = due.stream().map(one -> one.lift().lift().name()).collect(Collectors.joining(", "));
    List<Effect> singles = new ArrayList<>();
    due.forEach(one -> singles.addAll(one.test()));
    draft.propose(due.size() == 1 ? "A single @9 before the next work" : "A single @9 before the next work of each", singles);
    mock(picture, due).ifPresent(effects -> draft.propose("A mock contest in one session", effects));
    return List.of(draft.leave("Not now").saying(names + ": tested more than " + Say.number(picture.of(CallFigure.CALL_TEST_WEEKS))
        + " weeks ago, and nothing over 92 % was lifted for " + Say.number(picture.of(CallFigure.CALL_HEAVY_WEEKS)) + "."));
  }

  /** All three in one session, where all three are due: on the last day that is written within two weeks. */
  private static Optional<List<Effect>> mock(Picture picture, List<Due> due) {
    if (due.stream().filter(one -> one.lift().lift().powerlift()).count() < MOCK_LIFTS) {
      return Optional.empty();
    }
    return picture.ahead().stream().filter(session -> session.day().isAfter(picture.today().plusDays(MOCK_FROM))
        && session.day().isBefore(picture.today().plusDays(MOCK_UNTIL))).reduce((one, next) -> next).map(session -> due.stream()
        .map(one -> one.lift().lift()).filter(Lift::powerlift).sorted(Comparator.comparing(lift -> ORDER.indexOf(lift.key())))
        .<Effect>map(lift -> new Effect.Add(session.day(), SlotKind.MAIN, lift.key(), PartOf.of(new Work.Max(1)).rpe(MOCK_RPE).line()
            .toString(),
            "mock contest")).toList());
  }

  private static Optional<Due> of(Picture picture, Picture.OfLift known) {
    LocalDate on = known.testedOn();
    String key = known.lift().key();
    Mass max = picture.context().numbers(known.lift()).best();
    List<Past> exposures = picture.exposures(key);
    boolean trained = !exposures.isEmpty() && exposures.get(0).day().isAfter(picture.today().minusDays(TRAINED_DAYS));
    boolean old = on != null && on.isBefore(picture.today().minusWeeks((long) picture.of(CallFigure.CALL_TEST_WEEKS)));
    if (on == null || max == null || !trained || !old || picture.remembered(key) || picture.hurts(known.lift())) {
      return Optional.empty();
    }
    LocalDate since = picture.today().minusWeeks((long) picture.of(CallFigure.CALL_HEAVY_WEEKS));
    boolean heavy = exposures.stream().filter(past -> past.day().isAfter(since)).flatMap(past -> past.sets().stream())
        .anyMatch(set -> set.reps() > 0 && set.load().ratioTo(max) >= NEAR);
    List<Effect> test = NumbersMoved.test(picture, key);
    return heavy || test.isEmpty() ? Optional.empty() : Optional.of(new Due(known, on, test));
  }
}
