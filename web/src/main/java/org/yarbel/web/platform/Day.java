package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.meet.Entrant;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.contest.strongman.ContestedEvent;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.contest.strongman.EventTable;
import org.yarbel.core.contest.strongman.Overall;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Sex;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.DaySheet;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.problem.NotFound;

/**
 * A contest's day as it stands.
 *
 * @param athletes in the order they were entered
 * @param lifters those of the club among them, by their id
 * @param attempts by athlete and lift, in their order
 * @param results by athlete and number of the event
 * @param unnamed lifters of the club whose names are not for whoever looks at it, by their id
 */
record Day(Contest contest, Catalogue lifts, List<ContestAthlete> athletes, Map<Long, Lifter> lifters,
    Map<Long, Map<String, List<Attempt>>> attempts, Map<Long, Map<Integer, EventResult>> results, Set<Long> unnamed) {
  /** What one is called who let nobody see their name. */
  static final String UNNAMED = "one of the club";
  private static final String BENCH = "bench";

  /** The same for somebody who may not see the names of these lifters. */
  Day withoutNames(Set<Long> hidden) {
    return new Day(contest, lifts, athletes, lifters, attempts, results, hidden);
  }

  DaySheet sheet() {
    return contest.daySheet();
  }

  RuleSet rules() {
    return sheet().rules();
  }

  boolean strongman() {
    return contest.said().sport() == Contest.Sport.STRONGMAN;
  }

  ContestAthlete athlete(long id) {
    return athletes.stream().filter(one -> one.id() == id).findFirst().orElseThrow(NotFound::new);
  }

  @Nullable Lifter lifter(ContestAthlete athlete) {
    return athlete.lifterId() == null ? null : lifters.get(athlete.lifterId());
  }

  String name(ContestAthlete athlete) {
    Lifter lifter = lifter(athlete);
    if (lifter == null) {
      return athlete.said().name();
    }
    return unnamed.contains(lifter.id()) ? UNNAMED : lifter.name();
  }

  @Nullable Sex sex(ContestAthlete athlete) {
    Lifter lifter = lifter(athlete);
    return lifter == null ? athlete.said().sex() : lifter.sex();
  }

  /** The name of a lift by its key. */
  String lift(String key) {
    return lifts.ofKey(key).map(Lift::name).orElse(key);
  }

  /** The keys of what is contested: the lifts of the rules, or those of the events. */
  List<String> contested() {
    return strongman() ? contest.said().events().stream().map(Contest.ContestEvent::lift).distinct().toList() : rules().platform().lifts();
  }

  LiftDay liftDay(ContestAthlete athlete, String lift) {
    return new LiftDay(lift, attempts.getOrDefault(athlete.id(), Map.of()).getOrDefault(lift, List.of()));
  }

  Entrant entrant(ContestAthlete athlete) {
    return new Entrant(athlete.id(), athlete.said().category(), sex(athlete), athlete.said().bodyMass(),
        rules().platform().lifts().stream().map(lift -> liftDay(athlete, lift)).toList());
  }

  List<Entrant> entrants() {
    return athletes.stream().filter(athlete -> !athlete.said().withdrawn()).map(this::entrant).toList();
  }

  MeetTable.Counting counting() {
    boolean equipped = contest.said().rules() == AllowedGear.EQUIPPED;
    boolean benchOnly = rules().platform().lifts().equals(List.of(BENCH));
    return new MeetTable.Counting(sheet().formula(), equipped ? PointsFormula.Gear.EQUIPPED : PointsFormula.Gear.CLASSIC,
        benchOnly ? PointsFormula.Event.BENCH : PointsFormula.Event.FULL);
  }

  MeetTable table() {
    return MeetTable.of(entrants(), rules(), counting());
  }

  /** The lift somebody is at: the first in which an attempt is left; the last where none is. */
  String current(ContestAthlete athlete) {
    List<String> contested = rules().platform().lifts();
    return contested.stream().filter(lift -> !liftDay(athlete, lift).over(rules())).findFirst().orElse(contested.get(contested.size() - 1));
  }

  // ---- strongman

  /** The events as they are contested, in their order. */
  List<ContestedEvent> events() {
    List<DaySheet.EventRule> ranks = sheet().rules(contest.said().events());
    List<ContestedEvent> events = new ArrayList<>();
    for (Contest.ContestEvent event : contest.said().events()) {
      DaySheet.EventRule rank = ranks.get(events.size());
      events.add(new ContestedEvent(lift(event.lift()), rank.kind(), rank.timeBreaksTies()));
    }
    return events;
  }

  /** The classes that are contested apart, in the order of their names. */
  List<String> categories() {
    return athletes.stream().map(athlete -> athlete.said().category()).distinct().sorted().toList();
  }

  /** Those of a class. */
  List<ContestAthlete> of(String category) {
    return athletes.stream().filter(athlete -> athlete.said().category().equals(category)).toList();
  }

  /** The table of an event in a class, of those who have a result; the first event is 1. */
  EventTable eventTable(String category, int event) {
    List<ContestAthlete> field = of(category);
    Map<String, EventResult> done = new LinkedHashMap<>();
    field.forEach(athlete -> {
      EventResult result = results.getOrDefault(athlete.id(), Map.of()).get(event);
      if (result != null) {
        done.put(key(athlete), result);
      }
    });
    return EventTable.of(events().get(event - 1), done, rules().scoring(), field.size());
  }

  /** How a class stands over all events. */
  Overall overall(String category) {
    List<EventTable> tables = new ArrayList<>();
    for (int event = 1; event <= contest.said().events().size(); event++) {
      tables.add(eventTable(category, event));
    }
    List<ContestAthlete> field = of(category);
    Set<String> withdrawn = new HashSet<>();
    field.stream().filter(athlete -> athlete.said().withdrawn()).forEach(athlete -> withdrawn.add(key(athlete)));
    return Overall.of(field.stream().map(Day::key).toList(), tables, rules().scoring(), withdrawn);
  }

  /** How many events of a class have a result of everybody who still lifts; they come before the others. */
  int eventsOver(String category) {
    int over = 0;
    while (over < contest.said().events().size() && over(category, over + 1)) {
      over++;
    }
    return over;
  }

  private boolean over(String category, int event) {
    List<ContestAthlete> lifting = of(category).stream().filter(athlete -> !athlete.said().withdrawn()).toList();
    return !lifting.isEmpty() && lifting.stream().allMatch(athlete -> results.getOrDefault(athlete.id(), Map.of()).containsKey(event));
  }

  static String key(ContestAthlete athlete) {
    return Long.toString(athlete.id());
  }

  /** The athletes by what the tables of strongman call them. */
  Map<String, ContestAthlete> byKey() {
    Map<String, ContestAthlete> all = new HashMap<>();
    athletes.forEach(athlete -> all.put(key(athlete), athlete));
    return all;
  }
}
