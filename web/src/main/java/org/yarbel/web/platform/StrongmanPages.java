package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.WarmUpRamp;
import org.yarbel.core.contest.strongman.ContestedEvent;
import org.yarbel.core.contest.strongman.EventTable;
import org.yarbel.core.contest.strongman.Overall;
import org.yarbel.core.contest.strongman.Scenarios;
import org.yarbel.core.contest.strongman.Scoring;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.who.SignedIn;

/** Works out one athlete's screen of a strongman contest. */
@Service
class StrongmanPages {
  private static final int MOST_ATHLETES = 30;
  private static final int GONE_THROUGH = 2;

  private final ContestDays days;
  private final LifterContexts contexts;
  private final NoteRows notes;
  private final Shows shows;

  StrongmanPages(ContestDays days, LifterContexts contexts, NoteRows notes, Shows shows) {
    this.shows = shows;
    this.days = days;
    this.contexts = contexts;
    this.notes = notes;
  }

  @Transactional(readOnly = true)
  public StrongmanView view(long contestId, long athleteId, SignedIn who) {
    Day day = shows.forEyesOf(days.around(contestId, athleteId), who);
    ContestAthlete athlete = day.athlete(athleteId);
    String category = athlete.said().category();
    Overall overall = day.overall(category);
    int over = day.eventsOver(category);
    int left = day.contest().said().events().size() - over;
    boolean through = left >= 1 && left <= GONE_THROUGH && !athlete.said().withdrawn() && overall.lines().size() <= MOST_ATHLETES;
    Scoring scoring = day.rules().scoring();
    return new StrongmanView(contestId, athleteId, day.name(athlete), facts(day, athlete),
        AthletePages.cautions(day, athlete), standing(day, category, overall, athleteId),
        day.events().stream().map(ContestedEvent::name).toList(),
        left == 0 ? null : next(day, athlete, over + 1), through ? places(day, overall, left, athlete) : List.of(),
        through && left == 1 ? needed(day, overall, athlete) : List.of(), told(left, through, scoring), Bag.of(day, athlete),
        notes.last(contestId));
  }

  private static String facts(Day day, ContestAthlete athlete) {
    String category = athlete.said().category();
    return day.contest().name() + (category.isEmpty() ? "" : " · " + category);
  }

  private static @Nullable String told(int left, boolean through, Scoring scoring) {
    if (left > GONE_THROUGH) {
      return "What each place would mean is gone through once two events are left.";
    }
    return !through ? null : "Supposing that everybody scores, and nobody shares a place in what is left"
        + (scoring.countsBack() ? "; equal points go by more firsts, then seconds." : "; equal points share a place.");
  }

  /** The table of a class: the leader first, with the points of each event. */
  static List<StrongmanView.StandingRow> standing(Day day, String category, Overall overall, long mine) {
    List<EventTable> tables = new ArrayList<>();
    for (int event = 1; event <= day.contest().said().events().size(); event++) {
      tables.add(day.eventTable(category, event));
    }
    Map<String, ContestAthlete> byKey = day.byKey();
    return overall.lines().stream().map(line -> {
      ContestAthlete athlete = byKey.get(line.athlete());
      List<String> events = new ArrayList<>();
      for (int event = 1; event <= tables.size(); event++) {
        boolean done = day.results().getOrDefault(athlete.id(), Map.of()).containsKey(event);
        events.add(done ? tables.get(event - 1).of(line.athlete()).points().toString() : "");
      }
      return new StrongmanView.StandingRow(Integer.toString(line.place()), day.name(athlete), athlete.id() == mine, events,
          line.points().toString(), line.withdrawn());
    }).toList();
  }

  private StrongmanView.NextEvent next(Day day, ContestAthlete athlete, int number) {
    Contest.ContestEvent event = day.contest().said().events().get(number - 1);
    ContestedEvent contested = day.events().get(number - 1);
    var starts = day.sheet().start("", Integer.toString(number));
    Lifter lifter = day.lifter(athlete);
    List<String> ramp = List.of();
    String note = null;
    Optional<Mass> top = mass(event.work());
    if (lifter != null && top.isPresent()) {
      WarmUpRamp warm = ramp(lifter, event.lift(), top.get());
      ramp = warm.steps().stream().map(step -> step.load().number() + " × " + step.reps()).toList();
      note = warm.note();
    }
    return new StrongmanView.NextEvent(number, contested.name(), event.work(), contested.kind().meaning(),
        starts == null ? "" : starts.plusMinutes(day.sheet().lateMinutes()).toString(), ramp, note);
  }

  private WarmUpRamp ramp(Lifter lifter, String key, Mass top) {
    LifterContext context = contexts.of(lifter, null);
    Lift lift = context.lift(key);
    Optional<Loadables> loads = context.kit().of(lift, null).map(context.kit()::search);
    return loads.map(found -> WarmUpRamp.to(top, found, lift.movement(), lifter.ramp())).orElse(new WarmUpRamp(List.of(), null));
  }

  /** The mass of an event: that of its first part; of a series the first, which comes after a warm-up. */
  static Optional<Mass> mass(String work) {
    try {
      Part part = WorkLine.parse(work).line().parts().get(0);
      if (part.work() instanceof Work.Series series) {
        return Optional.of(series.masses().get(0));
      }
      return part.load() instanceof Load.OfMass written ? Optional.of(written.mass()) : Optional.empty();
    } catch (NotationException unreadable) {
      return Optional.empty();
    }
  }

  /** How far an event is carried; empty where it is no carry. */
  static Optional<BigDecimal> course(String work) {
    try {
      return WorkLine.parse(work).line().parts().get(0).work() instanceof Work.Carry carry ? Optional.of(carry.metres()) : Optional.empty();
    } catch (NotationException unreadable) {
      return Optional.empty();
    }
  }

  private static List<StrongmanView.PlaceRow> places(Day day, Overall overall, int left, ContestAthlete athlete) {
    Scoring scoring = day.rules().scoring();
    Scenarios scenarios = Scenarios.of(overall, left, scoring, Day.key(athlete));
    List<StrongmanView.PlaceRow> rows = new ArrayList<>();
    for (int place = 1; place <= scenarios.lifting(); place++) {
      Scenarios.Cell cell = scenarios.after(place);
      rows.add(new StrongmanView.PlaceRow(AthletePages.nth(place), scoring.at(place, overall.lines().size()).toString(), AthletePages.nth(
          cell.best()), AthletePages.nth(cell.worst()), cell.best() == cell.worst() ? "sure" : "open"));
    }
    return rows;
  }

  /** What is needed to win with one event left, a sentence for each own place with which that can be. */
  private static List<String> needed(Day day, Overall overall, ContestAthlete athlete) {
    Scoring scoring = day.rules().scoring();
    Map<String, ContestAthlete> byKey = day.byKey();
    int lifting = (int) overall.lines().stream().filter(line -> !line.withdrawn()).count();
    List<String> needed = new ArrayList<>();
    for (int own = 1; own <= lifting; own++) {
      String place = own == 1 ? "Win it" : AthletePages.nth(own);
      Scenarios.toWin(overall, scoring, Day.key(athlete), own).map(conditions -> conditions.stream()
          .map(one -> day.name(byKey.get(one.rival())) + " " + AthletePages.nth(one.orWorse())
              + (one.orWorse() == lifting ? "" : " or worse")).collect(Collectors.joining(", ")))
          .ifPresent(words -> needed.add(place + (words.isEmpty() ? ": first for sure" : ", with " + words + ": first")));
    }
    return needed.isEmpty() ? List.of("First is out of reach, whatever comes of the others.") : needed;
  }
}
