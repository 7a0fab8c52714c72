package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Count;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Settings;

/** An easy week is due by the interval of the level, or by signs. */
final class Deloading implements CallRule {
  private static final int TAPER_DAYS = 21;
  private static final int OFTEN = 2;
  private static final int CHEAPER_DAYS = 14;
  private static final int MOST_CHEAPER = 1;
  private static final int VOLUME_REPS = 4;
  /** What costs less than the back-offs of a heavy lift and trains the same. Common practice, no source. */
  private static final Map<String, String> CHEAPER = Map.of("deadlift", "back-extension", "squat", "leg-press");

  @Override
  public String key() {
    return "deload";
  }

  @Override
  public String title() {
    return "a deload is due, or signs of one";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "The interval of the level is over, or two signs: the next is pulled forward or one is placed; would it be the third in twelve "
        + "weeks, volume moves to lifts that cost less first.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_SIGNS);
  }

  @Override
  public List<Call> look(Picture picture) {
    LocalDate monday = Macrocycle.monday(picture.today());
    LocalDate next = monday.plusWeeks(1);
    boolean soon = picture.deloads().planned().stream().anyMatch(week -> !week.isAfter(next)) || picture.methods().stream()
        .anyMatch(method -> method.runsOn(next) && easyOfItsOwn(method, monday, next));
    Picture.Contest contest = picture.contest();
    boolean tapering = contest != null && ChronoUnit.DAYS.between(picture.today(), contest.day()) < TAPER_DAYS;
    if (soon || tapering || picture.ahead().isEmpty()) {
      return List.of();
    }
    int most = Deload.Interval.of(picture.person().level(), picture.person().strained()).most();
    List<DeloadSigns.Sign> signs = DeloadSigns.of(picture);
    boolean due = picture.deloads().weeksSince() >= most;
    boolean signed = signs.size() >= picture.of(CallFigure.CALL_SIGNS);
    return due || signed ? List.of(of(picture, next, most, signed ? signs : List.of())) : List.of();
  }

  private static boolean easyOfItsOwn(Picture.AtWork method, LocalDate monday, LocalDate next) {
    Settings settings = Settings.check(method.method(), method.settings(),
        Catalogue.standard()).settings();
    return List.of(monday, next).stream().anyMatch(week -> method.method().rule().easy(settings,
        (int) Math.max(0, ChronoUnit.WEEKS.between(method.startsOn(), week))));
  }

  private Call of(Picture picture, LocalDate monday, int most, List<DeloadSigns.Sign> signs) {
    Draft draft = Draft.of(this, "").when(Urgency.DUE).risky().agreeing(signs.isEmpty() ? 3 : signs.size());
    signs.forEach(sign -> draft.because(sign.facts()));
    if (signs.isEmpty()) {
      draft.because(new Fact(Fact.Kind.NUMBER, "weeks-" + picture.deloads().weeksSince(), monday.minusWeeks(1),
          picture.deloads().weeksSince() + " weeks with training since the last deload"));
    }
    LocalDate planned = picture.deloads().planned().stream().filter(week -> week.isAfter(monday)).findFirst().orElse(null);
    boolean often = picture.deloads().behind().size() >= OFTEN;
    if (often) {
      draft.propose("First move volume to lifts that cost less", cheaper(picture));
    }
    List<Deload> kinds = new ArrayList<>(List.of(picture.deloads().kind()));
    Arrays.stream(Deload.values()).filter(kind -> !kinds.contains(kind)).forEach(kinds::add);
    kinds.forEach(kind -> draft.propose((planned == null ? "Next week easy: " : "Pull it forward: ") + kind.word(),
        List.of(new Effect.EasyWeek(monday, kind, planned))));
    String why = signs.isEmpty() ? Count.of(picture.deloads().weeksSince(), "week") + " with training since the last deload; at this level "
        + "and in this life one is due after " + most + " at most."
        : "Signs of a deload: " + signs.stream().map(DeloadSigns.Sign::words).collect(Collectors.joining("; ")) + ".";
    String there = planned == null ? "" : " The next is planned for the week of " + Say.day(planned) + ".";
    String third = often ? " It would be the third in twelve weeks." : "";
    return draft.leave("Go on").saying(why + there + third);
  }

  /** Second lines of heavy lifts in the coming two weeks done with what costs less; where there are none, fewer back-offs. */
  private static List<Effect> cheaper(Picture picture) {
    List<Effect> effects = new ArrayList<>();
    picture.ahead().stream().filter(session -> session.day().isBefore(picture.today().plusDays(CHEAPER_DAYS)))
        .forEach(session -> session.lines().stream().filter(line -> line.kind() == SlotKind.SECOND && !line.remembered())
            .filter(Deloading::volume).limit(MOST_CHEAPER).forEach(line -> cheaper(picture, new Picture.Planned(session, line))
                .ifPresent(effects::add)));
    if (effects.isEmpty()) {
      picture.trained().stream().filter(CHEAPER::containsKey).forEach(lift -> effects.addAll(Edits.each(picture.editable(lift).stream()
          .filter(planned -> planned.session().day().isBefore(picture.today().plusDays(CHEAPER_DAYS))).toList(), Deloading::half)));
    }
    return effects;
  }

  /** Straight sets of several reps of what tires most: volume, and not practice of something heavy. */
  private static boolean volume(Picture.Line line) {
    Integer reps = LineEdit.read(line.planned().work()).parts().get(0).work() instanceof Work.SetsOfReps sets ? sets.reps().least() : null;
    boolean tires = line.lift().movement() == Movement.SQUAT || line.lift().movement() == Movement.DEADLIFT;
    return tires && reps != null && reps >= VOLUME_REPS;
  }

  private static WorkLine half(WorkLine line) {
    return LineEdit.fewerSets(line);
  }

  private static Optional<Effect> cheaper(Picture picture, Picture.Planned planned) {
    String head = picture.context().lifts().family(planned.line().lift()).key();
    return Optional.ofNullable(CHEAPER.get(head)).filter(key -> !key.equals(planned.line().lift().key()))
        .flatMap(key -> picture.context().lifts().ofKey(key)).filter(other -> WeakPoints.here(picture, other))
        .flatMap(other -> Edits.to(planned, other.key(), LineEdit.read("3x8-12"), null));
  }
}
