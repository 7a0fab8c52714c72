package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.card.AfterMiss;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.Ended;
import org.yarbel.core.card.FromToday;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.TodayTable;
import org.yarbel.core.card.TodaysMax;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Level;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Standing;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.problem.NotFound;

/** Works the lines of an issued card out again, as they stood, with what was lifted of them. */
@Component
class IssuedLines {
  /** What is said of the lift and its warm-up, whatever is done. */
  private static final Set<String> OF_THE_LIFT =
      Set.of(Caution.Kind.BY_RATIO.code(), Caution.Kind.POOR_RAMP.code(), Caution.Kind.LANDING.code());

  private final Places places;

  IssuedLines(Places places) {
    this.places = places;
  }

  /**
   * What stands beside a line.
   *
   * @param needless sets that nobody needs to do any more
   * @param afterMiss the ways to go on after a miss of what back-offs hang on; null where nothing hangs on anything
   * @param missed whether they are to be shown
   * @param today what back-offs would weigh worked from today's max, by part
   * @param day what the tracker says of the day; null where it knows nothing of it
   * @param begun whether it has seen a set of that day
   * @param table what today's max becomes by the top set, for a phone without signal; null once something of the lift is lifted
   * @param left why sets were not tried when the session was ended; null when it was not
   */
  record Beside(Set<LoggedSet.Place> needless, @Nullable AfterMiss afterMiss, boolean missed, Map<Integer, Loading> today,
      @Nullable Outlook day, boolean begun, @Nullable TodayTable table,
      LeftSets.@Nullable Why left) {}

  static Beside beside(CardDocument.CardSlot slot, Resolver.Request request, ResolvedLine line, @Nullable TrackedDay day,
      LeftSets.@Nullable Why why) {
    AfterMiss afterMiss = AfterMiss.of(request).orElse(null);
    // a beginner rates for practice: nothing is offered from it
    boolean steers = day != null && !slot.tables().isEmpty() && request.level() != Level.BEGINNER;
    return new Beside(Ended.needless(request.line().line(), request.logged()), afterMiss, afterMiss != null && afterMiss.due(line),
        steers && day.begun() ? FromToday.of(request, TodaysMax.of(day.outlook(), request.unit())) : Map.of(),
        day == null ? null : day.outlook(), day != null && day.begun(), steers ? table(slot, request, day) : null, why);
  }

  private static @Nullable TodayTable table(CardDocument.CardSlot slot, Resolver.Request request, TrackedDay day) {
    return TodayTable.of(request, slot.tables(), day.standing(), day.outlook().date()).orElse(null);
  }

  /**
   * What the tracker of a lift says on the day of a card.
   *
   * @param begun whether it has seen a set of that day
   */
  record TrackedDay(Standing standing, Outlook outlook, boolean begun) {
    /** Of a day that nothing newer is known of than what was lifted on it; empty of one that others came after. */
    static Optional<TrackedDay> of(LiftNumbers own, LocalDate day) {
      return own.standing().filter(known -> !known.day().isAfter(day)).flatMap(known -> own.outlook(day)
          .map(outlook -> new TrackedDay(known, outlook, known.day().equals(day) && own.setsThatDay() > 0)));
    }
  }

  Resolver.Request request(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> logged, @Nullable TrackedDay day) {
    Map<String, MaxNumbers> others = new HashMap<>(document.numbers());
    MaxNumbers issued = others.get(slot.lift());
    MaxNumbers own = issued == null || day == null || !day.begun() ? issued
        : issued.withToday(day.outlook().today(document.unit()).max());
    CardDocument.Facts facts = slot.facts() == null ? CardDocument.Facts.UNKNOWN : slot.facts();
    return new Resolver.Request(WorkLine.parse(slot.work()), slot.basis(),
        own == null ? MaxNumbers.NONE : own, others, document.bodyMass(), places.loadables(document.loaded(slot)).orElse(null),
        document.unit(), slot.chart(), facts.movement(), facts.partial(), logged.stream().map(LoggedSetRow::loggedSet).toList(), null,
        facts.level());
  }

  /** The line as it stood when it was issued, with what was done. */
  static ResolvedLine line(CardDocument.CardSlot slot, Resolver.Request request) {
    ResolvedLine line = Resolver.resolve(request);
    // the ramp stays as issued: it was warmed up on before anything was logged
    return new ResolvedLine(line.notation(), slot.ramp(), line.sets(), line.today(), cautions(slot, line));
  }

  // what was said of the plan when it was issued stays said, beside what comes of the sets done
  private static List<Caution> cautions(CardDocument.CardSlot slot, ResolvedLine line) {
    List<Caution> cautions = new ArrayList<>(line.cautions());
    slot.cautions().stream().filter(issued -> cautions.stream().noneMatch(c -> c.code().equals(issued.code())))
        .filter(issued -> OF_THE_LIFT.contains(issued.code()))
        .forEach(cautions::add);
    return cautions;
  }

  ResolvedSet asked(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> ofSlot, LoggedSet.Place place,
      @Nullable TrackedDay day) {
    if (slot.problem() != null) {
      throw new NotFound();
    }
    Resolver.Request request = request(document, slot, ofSlot, day);
    ResolvedLine line = line(slot, request);
    Optional<ResolvedSet> attempt = AfterMiss.of(request).filter(ways -> ways.due(line)).map(AfterMiss::attempt);
    return Stream.concat(line.sets().stream(), attempt.stream()).filter(set -> set.part() == place.part()
        && set.set() == place.set()).findFirst()
        .orElseThrow(NotFound::new);
  }
}
