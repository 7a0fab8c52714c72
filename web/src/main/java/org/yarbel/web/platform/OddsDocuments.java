package org.yarbel.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.yarbel.core.contest.AttemptPlan;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.NextAttempt;
import org.yarbel.core.contest.OddsTable;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.contest.ContestAthlete;

/** What a phone takes along of a lifter's day: the odds and choices after whatever may come of the next attempts. */
@Service
class OddsDocuments {
  private static final int KEPT = 200;

  private final ContestDays days;
  private final OurOdds odds;
  /** By all it is worked out from: it takes a tenth of a second a lift. */
  private final Cache<Asked, Node> worked = Caffeine.newBuilder().maximumSize(KEPT).build();

  OddsDocuments(ContestDays days, OurOdds odds) {
    this.days = days;
    this.odds = odds;
  }

  /** What a table of odds hangs on. */
  private record Asked(long athlete, int version, LiftDay lifted, RuleSet rules, @Nullable Mass opener, String basis) {}

  /**
   * The document.
   *
   * @param reasons what each reason is to the odds
   * @param lifts by key, those in which an attempt is left and of which something is known
   * @param lifted how many attempts of each of these were lifted, so that a phone knows which came later
   */
  record Document(long athlete, Map<String, Node> lifts, Map<String, Integer> lifted, Map<String, OddsTable.Seen> reasons) {}

  /**
   * Where a lift stands.
   *
   * @param choices for the next attempt
   * @param odds in percent, by load
   * @param after what follows, by load, a blank, and what came of it
   */
  record Node(List<Choice> choices, Map<String, Integer> odds, Map<String, Node> after) {}

  /** A load that could be handed in. */
  record Choice(String load, String chance, String why, String side) {}

  /** The document of an athlete as they stand; empty for a rival and for one of whom nothing is known. */
  Document of(long contestId, long athleteId) {
    Day day = days.around(contestId, athleteId);
    ContestAthlete athlete = day.athlete(athleteId);
    Map<String, OurOdds.Known> known = athlete.loggedAt() == null ? odds.of(athlete, day.contest()) : Map.of();
    RuleSet rules = day.rules();
    Map<String, Node> lifts = new LinkedHashMap<>();
    Map<String, Integer> done = new LinkedHashMap<>();
    for (String lift : rules.platform().lifts()) {
      OurOdds.Known one = known.get(lift);
      LiftDay lifted = day.liftDay(athlete, lift);
      if (one != null && !lifted.over(rules)) {
        Mass opener = lifted.attempts().isEmpty() ? opener(athlete, lift, one, rules) : null;
        String basis = one.odds().max(rules.attempts().step().unit()).toString() + one.most();
        lifts.put(lift, worked.get(new Asked(athleteId, athlete.version(), lifted, rules, opener, basis),
            asked -> node(OddsTable.of(lifted, rules, one.odds(), opener, one.most()), rules)));
        done.put(lift, lifted.lifted().size());
      }
    }
    Map<String, OddsTable.Seen> reasons = new LinkedHashMap<>();
    for (Verdict.Reason reason : Verdict.Reason.values()) {
      reasons.put(reason.name(), OddsTable.Seen.of(Verdict.not(reason)));
    }
    return new Document(athleteId, lifts, done, reasons);
  }

  /** The opener: as it was decided beforehand, else as planned. */
  static Mass opener(ContestAthlete athlete, String lift, OurOdds.Known known, RuleSet rules) {
    Mass decided = athlete.prepared().openers().get(lift);
    return decided != null ? decided : AttemptPlan.of(known.odds(), rules, null).at(AttemptPlan.Day.EXPECTED, 1).load();
  }

  private static Node node(OddsTable table, RuleSet rules) {
    List<Choice> choices = new ArrayList<>();
    for (NextAttempt.Choice choice : table.choices()) {
      choices.add(new Choice(choice.load().number(), AthletePages.percent(choice.chance()), choice.why().stream().sorted()
          .map(NextAttempt.Why::word).collect(Collectors.joining(", ")), AthletePages.loading(choice.load(), rules).sideText()));
    }
    Map<String, Integer> odds = new LinkedHashMap<>();
    table.odds().forEach(odd -> odds.put(odd.load().number(), (int) Math.round(100 * odd.chance())));
    Map<String, Node> after = new LinkedHashMap<>();
    table.branches().forEach(branch -> after.put(branch.load().number() + " " + branch.seen(), node(branch.then(), rules)));
    return new Node(choices, odds, after);
  }
}
