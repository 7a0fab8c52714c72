package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Method;

/** A straight line that ends, or is left before it could pay. */
final class Stall implements CallRule {
  private static final int MISSES = 3;
  private static final int DAYS_AHEAD = 14;
  private static final int LEFT_SINCE = 14;
  private static final int FIVE = 5;

  @Override
  public String key() {
    return "stall";
  }

  @Override
  public String title() {
    return "a stall, or leaving early";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "The novice line's third miss, a forecast of the stall within two weeks, or a method left before it could pay: reset, "
        + "heavy and light weeks, another method; it asks why.";
  }

  @Override
  public List<Call> look(Picture picture) {
    List<Call> calls = new ArrayList<>();
    List<Picture.AtWork> lines = picture.methods().stream().filter(method -> method.method() == Method.NOVICE_LINEAR
        && method.runsOn(picture.today())).sorted(Comparator.comparing(Picture.AtWork::lift)).toList();
    lines.forEach(method -> missed(picture, method).ifPresent(calls::add));
    if (calls.isEmpty()) {
      // one at a time, the nearest: the lines of one lifter stall within days of each other
      lines.stream().map(method -> forecast(picture, method)).flatMap(Optional::stream).min(Comparator.comparing(call -> call.facts().get(0)
          .day())).ifPresent(calls::add);
    }
    picture.methods().forEach(method -> left(picture, method).ifPresent(calls::add));
    return calls;
  }

  private Optional<Call> missed(Picture picture, Picture.AtWork method) {
    List<Past> exposures = picture.exposures(method.lift());
    int misses = 0;
    while (misses < exposures.size() && !exposures.get(misses).missed().isEmpty()) {
      misses++;
    }
    Lift lift = picture.context().lift(method.lift());
    if (misses >= MISSES) {
      Draft draft = Draft.of(this, lift.key()).about("third miss").when(Urgency.MISS).agreeing(misses).risky();
      exposures.subList(0, misses).forEach(past -> draft.because(past.facts(past.missed())));
      draft.leave("The line starts again from its reset");
      return Optional.of(others(draft, picture, method).saying(lift.name() + ": the line was missed " + misses
          + " times running; it resets by itself. Does it still pay?"));
    }
    return Optional.empty();
  }

  /** The first line of the coming two weeks whose load is over what the max to expect gives for five. */
  private Optional<Call> forecast(Picture picture, Picture.AtWork method) {
    Lift lift = picture.context().lift(method.lift());
    List<Past> exposures = picture.exposures(lift.key());
    if (!exposures.isEmpty() && !exposures.get(0).missed().isEmpty()) {
      return Optional.empty();
    }
    for (Picture.Planned planned : picture.planned(lift.key())) {
      LocalDate day = planned.session().day();
      Mass load = Edits.top(picture, planned).orElse(null);
      if (day.isBefore(picture.today().plusDays(DAYS_AHEAD)) && load != null && over(picture, lift, day, load)) {
        Draft draft = Draft.of(this, lift.key()).about("forecast").agreeing(1).risky().because(Say.line(planned))
            .leave("Go on until it stalls");
        return Optional.of(others(draft, picture, method).saying(lift.name() + ": the line reaches " + load.text() + " on " + Say.day(day)
            + ", more than five reps of what the max is likely to be by then. A stall is near."));
      }
    }
    return Optional.empty();
  }

  private static boolean over(Picture picture, Lift lift, LocalDate day, Mass load) {
    @Nullable Mass max = picture.context().expected(lift, day);
    OptionalDouble fives = picture.context().chart(lift).fraction(FIVE, 10);
    return max != null && fives.isPresent() && load.compareTo(max.scaled(fives.getAsDouble())) > 0;
  }

  private static Draft others(Draft draft, Picture picture, Picture.AtWork method) {
    LocalDate monday = Macrocycle.monday(picture.today()).plusWeeks(1);
    return draft.propose("Heavy and light: RPE weeks from Monday", List.of(new Effect.Another(method.ref(), method.lift(),
        Method.RPE_WEEKS, monday))).propose("A training max with plus sets from Monday", List.of(new Effect.Another(method.ref(),
        method.lift(), Method.PLUS_SETS, monday)));
  }

  /** A method that was ended before it could pay. */
  private Optional<Call> left(Picture picture, Picture.AtWork method) {
    LocalDate end = method.endsOn();
    if (end == null || end.isBefore(picture.today().minusDays(LEFT_SINCE)) || !end.isAfter(method.startsOn())) {
      return Optional.empty();
    }
    boolean follows = picture.methods().stream().anyMatch(other -> other.lift().equals(method.lift()) && !other.ref().equals(method.ref())
        && other.endsOn() == null && other.startsOn().isAfter(end.plusWeeks(1)));
    return follows ? Optional.empty() : method.method().rule().leaving(ChronoUnit.WEEKS.between(method.startsOn(), end)).map(why ->
        Draft.of(this, method.lift()).about("left early").agreeing(1).risky().because(Say.fact(method, method.method().title()
            + ", from " + method.startsOn() + " to " + end)).propose("Let it go on", List.of(new Effect.Another(method.ref(), method.lift(),
                null, picture.today()))).leave("It stays ended").saying(picture.name(method.lift()) + ", "
                    + method.method().title() + ": " + why));
  }
}
