package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.yarbel.core.log.Context;
import org.yarbel.core.mass.Count;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.watch.Checks;
import org.yarbel.core.watch.Severity;
import org.yarbel.core.watch.WatchedWeek;

/** Planned sessions that were not begun, weeks away, and the first exposure after an illness. */
final class MissedDays implements CallRule {
  private static final int NEWS = 6;
  private static final double CAP = 7;
  private static final int ILL_DAYS = 10;

  @Override
  public String key() {
    return "missed-days";
  }

  @Override
  public String title() {
    return "missed days";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "A planned session not begun by the end of its day: moved to a free day that breaks no check, its main lifts merged into the "
        + "next, or let go. Two weeks away: the first week capped at 7 and 10 % lighter. After an illness: the first exposure 5 % lighter.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_AWAY_DAYS, CallFigure.CALL_AWAY_CUT, CallFigure.CALL_ILL_CUT);
  }

  @Override
  public List<Call> look(Picture picture) {
    Optional<Call> away = away(picture);
    if (away.isPresent()) {
      return List.of(away.get());
    }
    List<Call> calls = new ArrayList<>();
    missed(picture).ifPresent(calls::add);
    ill(picture).ifPresent(calls::add);
    return calls;
  }

  /** The newest session behind that nobody began, where nothing was lifted since that makes up for it. */
  private Optional<Call> missed(Picture picture) {
    Picture.Session missed = picture.sessions().stream().filter(session -> session.day().isBefore(picture.today())
        && !session.day().isBefore(picture.today().minusDays(NEWS)) && !session.begun() && !session.ended()
        && session.lines().stream().anyMatch(line -> line.kind().mainWork())).reduce((one, next) -> next).orElse(null);
    if (missed == null) {
      return Optional.empty();
    }
    List<String> lifts = missed.lines().stream().filter(line -> line.kind().mainWork()).map(line -> line.lift().name()).distinct().toList();
    Draft draft = Draft.of(this, "").about(missed.day().toString()).when(Urgency.DUE).agreeing(1)
        .because(Say.fact(missed, "planned and not begun: " + String.join(", ", lifts)));
    freeDay(picture, missed).ifPresent(day -> draft.propose("Move it to " + Say.day(day), List.of(new Effect.Move(missed.day(), day))));
    merged(picture, missed).ifPresent(effects -> draft.propose("Put its main lifts into the next session", effects));
    return Optional.of(draft.leave("Let it go").saying("The session of " + Say.day(missed.day()) + " was not begun: "
        + String.join(", ", lifts) + "."));
  }

  /** The first day of the coming week that can be trained on, has no session, and where no check finds what it does not find now. */
  private static Optional<LocalDate> freeDay(Picture picture, Picture.Session missed) {
    LocalDate end = Macrocycle.monday(picture.today()).plusWeeks(1);
    Set<LocalDate> taken = picture.sessions().stream().filter(session -> !session.lines().isEmpty()).map(Picture.Session::day)
        .collect(Collectors.toSet());
    return picture.today().datesUntil(end).filter(day -> !taken.contains(day)
        && (picture.person().free().isEmpty() || picture.person().free().contains(day.getDayOfWeek()))
            && breaksNothing(picture, missed, day))
        .findFirst();
  }

  private static boolean breaksNothing(Picture picture, Picture.Session missed, LocalDate day) {
    WatchedWeek week = picture.week();
    if (week == null || missed.day().isBefore(week.monday())) {
      return true;
    }
    Collection<Long> ids = week.lines().stream().filter(line -> line.counted().day().equals(missed.day()))
        .map(line -> line.counted().id()).toList();
    Set<String> now = doubts(week);
    return now.containsAll(doubts(week.moved(ids, day)));
  }

  private static Set<String> doubts(WatchedWeek week) {
    return Checks.look(week).stream().filter(finding -> finding.severity() != Severity.NOTE)
        .map(finding -> finding.check() + "/" + finding.lift()).collect(Collectors.toSet());
  }

  /** Its first main lift behind the main work of the next session, with half the sets. */
  private static Optional<List<Effect>> merged(Picture picture, Picture.Session missed) {
    Picture.Session next = picture.ahead().stream().findFirst().orElse(null);
    if (next == null) {
      return Optional.empty();
    }
    List<Effect> effects = new ArrayList<>();
    missed.lines().stream().filter(line -> line.kind().mainWork() && !line.remembered() && next.lines().stream()
        .noneMatch(other -> other.lift().key().equals(line.lift().key()))).limit(1).forEach(line -> {
          WorkLine half = LineEdit.fewerSets(LineEdit.read(line.planned().work()));
          effects.add(new Effect.Add(next.day(), SlotKind.SECOND, line.lift().key(), half.toString(),
              "from " + Say.day(missed.day())));
        });
    return effects.isEmpty() ? Optional.empty() : Optional.of(effects);
  }

  /** Nothing lifted for two weeks, and something planned again. */
  private Optional<Call> away(Picture picture) {
    List<Picture.Session> lifted = picture.lifted();
    List<Picture.Session> ahead = picture.ahead();
    if (lifted.isEmpty() || ahead.isEmpty()) {
      return Optional.empty();
    }
    LocalDate last = lifted.get(0).day();
    LocalDate first = ahead.get(0).day();
    long days = ChronoUnit.DAYS.between(last, picture.today());
    if (days < picture.of(CallFigure.CALL_AWAY_DAYS)) {
      return Optional.empty();
    }
    double cut = picture.of(CallFigure.CALL_AWAY_CUT);
    Draft draft = Draft.of(this, "").about("away since " + last).when(Urgency.DUE).agreeing(3).risky()
        .because(Say.fact(lifted.get(0), "the last session that was lifted"));
    List<Picture.Planned> week = main(ahead, first.plusWeeks(1));
    draft.propose("The first week capped at 7 and " + Say.number(cut) + " % lighter", Edits.each(week,
        line -> LineEdit.capped(LineEdit.scaled(line, 1 - cut / 100, null), CAP)));
    draft.propose("The first week capped at 7", Edits.each(week, line -> LineEdit.capped(line, CAP)));
    return Optional.of(draft.leave("As planned").saying("Nothing was lifted for " + Count.of(days, "day") + ", since " + Say.day(last)
        + ". The next session is planned for " + Say.day(first) + "."));
  }

  private static List<Picture.Planned> main(List<Picture.Session> sessions, LocalDate until) {
    List<Picture.Planned> lines = new ArrayList<>();
    sessions.stream().filter(session -> session.day().isBefore(until)).forEach(session -> session.lines().stream()
        .filter(line -> line.kind().mainWork() && !line.remembered()).forEach(line -> lines.add(new Picture.Planned(session, line))));
    return lines;
  }

  /** Sets marked as ill, and a next session within days of them. */
  private Optional<Call> ill(Picture picture) {
    Picture.Session ill = picture.lifted().stream().filter(session -> !session.day().isBefore(picture.today().minusDays(ILL_DAYS)))
        .filter(session -> session.lines().stream().flatMap(line -> line.sets().stream())
            .anyMatch(set -> set.state().contains(Context.ILL))).findFirst().orElse(null);
    List<Picture.Session> ahead = picture.ahead();
    boolean since = ill != null && picture.lifted().get(0).day().isAfter(ill.day());
    if (ill == null || since || ahead.isEmpty()) {
      return Optional.empty();
    }
    double cut = picture.of(CallFigure.CALL_ILL_CUT);
    Draft draft = Draft.of(this, "").about("ill " + ill.day()).when(Urgency.DUE).agreeing(1).risky()
        .because(Say.fact(ill, "sets marked as ill"));
    draft.propose("The next session " + Say.number(cut) + " % lighter", Edits.each(main(ahead, ahead.get(0).day().plusDays(1)),
        line -> LineEdit.scaled(line, 1 - cut / 100, null)));
    return Optional.of(draft.leave("As planned").saying("Ill on " + Say.day(ill.day())
        + ": the first exposure after it is better lighter."));
  }
}
