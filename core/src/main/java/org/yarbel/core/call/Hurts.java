package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Pain;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** Something hurts that a lift to come loads: half of it, or a relative that spares the place. Never an increase while it stands. */
final class Hurts implements CallRule {
  private static final int DAYS_AHEAD = 7;
  private static final int LOOKED_BACK = 28;
  private static final int RISING_FROM = 3;
  private static final double FIRST_RPE = 7;

  @Override
  public String key() {
    return "hurts";
  }

  @Override
  public String title() {
    return "it hurts";
  }

  @Override
  public String source() {
    return "Our own default. It names no illness: that is for a clinician.";
  }

  @Override
  public String when() {
    return "Pain of 4 or more that is new, or rising on two check-ins: the lift by half, or the relative that loads the place least "
        + "and did "
        + "not hurt before. From 6, or after 14 days: a clinician. No load goes up while it stands.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_PAIN, CallFigure.CALL_CLINICIAN, CallFigure.CALL_CLINICIAN_DAYS);
  }

  /** One place over time. */
  private record Course(List<Told> told) {
    Told newest() {
      return told.get(told.size() - 1);
    }

    boolean rising() {
      return told.size() >= 3 && last(1).pain().score() > last(2).pain().score() && last(2).pain().score() > last(3).pain().score()
          || told.size() >= 2 && last(1).pain().score() > last(2).pain().score() && last(2).pain().score() > 0;
    }

    private Told last(int back) {
      return told.get(told.size() - back);
    }

    /** What makes it worth a decision: the newest word that was new, higher than the one before, or a week after the last such. */
    Told event(Picture picture) {
      Told event = told.get(0);
      int before = 0;
      for (Told one : told) {
        int score = one.pain().score();
        boolean still = score >= picture.of(CallFigure.CALL_PAIN)
            && !one.answers().day().isBefore(event.answers().day().plusDays(DAYS_AHEAD));
        if (score > before || still) {
          event = one;
        }
        before = score;
      }
      return event;
    }

    /** Since when it has been there without a word that it is gone. */
    LocalDate since() {
      LocalDate since = newest().answers().day();
      for (int i = told.size() - 1; i >= 0 && told.get(i).pain().score() > 0; i--) {
        since = told.get(i).answers().day();
      }
      return since;
    }
  }

  private record Told(Picture.Answers answers, Pain pain) {}

  @Override
  public List<Call> look(Picture picture) {
    TreeMap<String, Course> places = new TreeMap<>();
    picture.answers().stream().filter(said -> said.day().isAfter(picture.today().minusDays(LOOKED_BACK)))
        .forEach(said -> said.said().pains().forEach(pain -> places.computeIfAbsent(pain.where(), where -> new Course(new ArrayList<>()))
            .told().add(new Told(said, pain))));
    List<Call> calls = new ArrayList<>();
    places.forEach((where, course) -> of(picture, where, course).ifPresent(calls::add));
    return calls;
  }

  private Optional<Call> of(Picture picture, String where, Course course) {
    Pain now = course.newest().pain();
    boolean stands = course.newest().answers().day().isAfter(picture.today().minusDays(Picture.Standing.LASTS));
    boolean much = now.score() >= picture.of(CallFigure.CALL_PAIN);
    if (!stands || !much && !(course.rising() && now.score() >= RISING_FROM)) {
      return Optional.empty();
    }
    List<Picture.Planned> lines = lines(picture, now);
    String lift = lines.isEmpty() ? "" : picture.context().lifts().family(lines.get(0).line().lift()).key();
    Draft draft = Draft.of(this, lift).about(where).when(Urgency.CAUTION).agreeing(course.told().size()).risky();
    draft.because(Say.fact(course.event(picture).answers()));
    if (!lines.isEmpty()) {
      List<Effect> swaps = swaps(picture, now, lines);
      List<Effect> halves = halves(picture, lines);
      draft.propose("Half the load for a week", halves);
      draft.propose("Swap for what spares it", swaps);
    }
    draft.leave("Leave the plan as it is");
    long days = ChronoUnit.DAYS.between(course.since(), picture.today());
    String clinician = now.score() >= picture.of(CallFigure.CALL_CLINICIAN) || days >= picture.of(CallFigure.CALL_CLINICIAN_DAYS)
        ? " A clinician should look at it." : "";
    String since = days == 0 ? "today" : "for " + Count.of(days, "day");
    return Optional.of(draft.saying("The " + where + " hurts: " + now.score() + " of 10"
        + (now.worse().isEmpty() ? "" : ", worse with " + now.worse()) + (course.rising() ? ", rising" : "") + ", " + since + ". "
        + (lines.isEmpty() ? "Nothing in the coming week loads it." : Count.of(lines.size(), "line") + " of the coming week "
        + (lines.size() == 1 ? "loads" : "load") + " it.") + clinician));
  }

  private static List<Picture.Planned> lines(Picture picture, Pain pain) {
    List<Picture.Planned> lines = new ArrayList<>();
    picture.ahead().stream().filter(session -> session.day().isBefore(picture.today().plusDays(DAYS_AHEAD)))
        .forEach(session -> session.lines().stream().filter(line -> line.kind().counts() && pain.place().loadedBy(line.lift()))
            .forEach(line -> lines.add(new Picture.Planned(session, line))));
    return lines;
  }

  private static List<Effect> halves(Picture picture, List<Picture.Planned> lines) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : lines) {
      Deload.HALF_LOAD.applied(LineEdit.read(planned.line().planned().work()), picture.context().chart(planned.line().lift()))
          .flatMap(work -> Edits.to(planned, work)).ifPresent(effects::add);
    }
    return effects;
  }

  private static List<Effect> swaps(Picture picture, Pain pain, List<Picture.Planned> lines) {
    List<Effect> effects = new ArrayList<>();
    for (Picture.Planned planned : lines) {
      relative(picture, pain, planned.line().lift()).flatMap(other -> Edits.to(planned, other.key(), work(picture, planned, other), null))
          .ifPresent(effects::add);
    }
    return effects;
  }

  /** The relative that loads the place least, can be loaded here, and did not hurt before. */
  private static Optional<Lift> relative(Picture picture, Pain pain, Lift lift) {
    String head = picture.context().lifts().family(lift).key();
    return EasierOn.of(pain.place(), head).stream().map(key -> picture.context().lifts().ofKey(key)).flatMap(Optional::stream)
        .filter(other -> !other.key().equals(lift.key()) && WeakPoints.here(picture, other) && !hurtBefore(picture, other)).findFirst();
  }

  private static boolean hurtBefore(Picture picture, Lift lift) {
    return picture.lifted().stream().flatMap(session -> session.lines().stream()).flatMap(line -> line.sets().stream())
        .anyMatch(set -> set.lift().key().equals(lift.key()) && set.state().contains(Context.PAIN));
  }

  /** The same work, a written load by the ratio of the two, capped at 7 as the first exposure of a variation is. */
  private static WorkLine work(Picture picture, Picture.Planned planned, Lift other) {
    WorkLine line = LineEdit.read(planned.line().planned().work());
    Mass from = picture.context().numbers(planned.line().lift()).best();
    Mass to = picture.context().numbers(other).best();
    boolean written = line.parts().stream().anyMatch(part -> part.load() instanceof Load.OfMass);
    double ratio = written && from != null && to != null ? to.ratioTo(from) : 1;
    return LineEdit.capped(ratio == 1 ? line : LineEdit.scaled(line, ratio, null), FIRST_RPE);
  }
}
