package org.yarbel.web.card;

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
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Level;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.club.Places;
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
   * @param left why sets were not tried when the session was ended; null when it was not
   */
  record Beside(Set<LoggedSet.Place> needless, @Nullable AfterMiss afterMiss, boolean missed, Map<Integer, Loading> today,
      LeftSets.@Nullable Why left) {}

  static Beside beside(CardDocument.CardSlot slot, Resolver.Request request, ResolvedLine line, LeftSets.@Nullable Why why) {
    AfterMiss afterMiss = slot.tables().isEmpty() ? null : AfterMiss.of(request).orElse(null);
    boolean steers = !slot.tables().isEmpty() && request.level() != Level.BEGINNER;
    return new Beside(Ended.needless(request.line().line(), request.logged()), afterMiss, AfterMiss.due(line),
        steers ? FromToday.of(request) : Map.of(), why);
  }

  Resolver.Request request(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> logged) {
    Map<String, MaxNumbers> others = new HashMap<>(document.numbers());
    MaxNumbers own = others.get(slot.lift());
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

  ResolvedSet asked(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> ofSlot, LoggedSet.Place place) {
    if (slot.problem() != null) {
      throw new NotFound();
    }
    Resolver.Request request = request(document, slot, ofSlot);
    ResolvedLine line = line(slot, request);
    Optional<ResolvedSet> attempt = AfterMiss.due(line) ? AfterMiss.of(request).map(AfterMiss::attempt) : Optional.empty();
    return Stream.concat(line.sets().stream(), attempt.stream()).filter(set -> set.part() == place.part()
        && set.set() == place.set()).findFirst()
        .orElseThrow(NotFound::new);
  }
}
