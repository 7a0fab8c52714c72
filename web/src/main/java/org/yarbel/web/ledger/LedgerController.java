package org.yarbel.web.ledger;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The Ledger: a page of the sets of one lift, newest first, and half a year of its tracked max. */
@Controller
class LedgerController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final int PAGE = 120;
  private static final int CHART_WEEKS = 26;

  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final LoggedSetRepository log;
  private final TrackedPointRepository points;
  private final Lifts clubLifts;
  private final ClubClock clock;

  LedgerController(LifterRepository lifters, LiftNumbersRepository numbers, LoggedSetRepository log,
      TrackedPointRepository points, Lifts clubLifts, ClubClock clock) {
    this.lifters = lifters;
    this.numbers = numbers;
    this.log = log;
    this.points = points;
    this.clubLifts = clubLifts;
    this.clock = clock;
  }

  /** One day of a lift. */
  record LedgerDay(String day, List<LedgerSet> sets) {}

  /** One set: what was done against what was asked. */
  record LedgerSet(String done, String asked, boolean missed, boolean flagged, boolean off) {}

  /** A lift to choose. */
  record LedgerLift(String key, String name, boolean open) {}

  @GetMapping("/lifters/{id}/ledger")
  String page(@PathVariable long id, @RequestParam(defaultValue = "") String lift,
      @RequestParam(required = false) @Nullable LocalDate before, @AuthenticationPrincipal SignedIn who, Model model) {
    Lifter lifter = lifters.findById(id).filter(l -> who.maySee(id)).orElseThrow(NotFound::new);
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(id));
    List<String> known = own.stream().map(LiftNumbers::lift).toList();
    Catalogue catalogue = clubLifts.catalogue();
    List<Lift> lifts = catalogue.all().stream().filter(l -> known.contains(l.key())).toList();
    Lift open = catalogue.ofKey(lift).filter(lifts::contains)
        .or(() -> lifts.stream().findFirst())
        .orElseGet(() -> catalogue.all().get(0));
    LocalDate until = before == null ? clock.today().plusDays(1) : before;
    List<LoggedSetRow> page = log.page(id, open.key(), until, Limit.of(PAGE));
    List<LoggedSetRow> rows = wholeDays(page);
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("lifts", lifts.stream().map(l -> new LedgerLift(l.key(), l.name(), l.equals(open))).toList());
    model.addAttribute("lift", open);
    model.addAttribute("unit", lifter.unit().symbol());
    model.addAttribute("now", now(own, open, lifter.unit(), clock.today()));
    model.addAttribute("chart", LedgerChart.of(points.findByLifterIdAndLiftAndDayGreaterThanEqualOrderByDay(
        id, open.key(), clock.today().minusWeeks(CHART_WEEKS)), lifter.unit(), 1180, 280));
    model.addAttribute("days", days(rows, lifter.unit()));
    model.addAttribute("older", page.size() == PAGE ? rows.get(rows.size() - 1).day().toString() : null);
    return "ledger/page";
  }

  private static @Nullable String now(List<LiftNumbers> own, Lift lift, MassUnit unit, LocalDate today) {
    return own.stream().filter(n -> n.lift().equals(lift.key())).findFirst().map(n -> n.estimate(unit, today))
        .map(estimate -> estimate.text(unit) + " " + unit).orElse(null);
  }

  // The last day of a full page may be cut: it is left to the next page, which shows it whole.
  private static List<LoggedSetRow> wholeDays(List<LoggedSetRow> page) {
    LocalDate last = page.isEmpty() ? null : page.get(page.size() - 1).day();
    return page.size() < PAGE || page.get(0).day().equals(last)
        ? page
        : page.stream().filter(row -> !row.day().equals(last)).toList();
  }

  private static List<LedgerDay> days(List<LoggedSetRow> rows, MassUnit unit) {
    Map<LocalDate, List<LedgerSet>> byDay = new LinkedHashMap<>();
    for (LoggedSetRow row : rows) {
      byDay.computeIfAbsent(row.day(), day -> new ArrayList<>()).add(0, set(row, unit));
    }
    List<LedgerDay> days = new ArrayList<>();
    byDay.forEach((day, sets) -> days.add(new LedgerDay(DAY.format(day), sets)));
    return days;
  }

  private static LedgerSet set(LoggedSetRow row, MassUnit unit) {
    String load = row.load().shownIn(unit).number();
    String done = (row.reps() == 0 ? load + " missed" : load + (row.measured().isEmpty() ? " × " + row.reps()
        : ", " + row.measured()) + row.rating()) + row.ending();
    Mass asked = row.asked();
    Integer askedReps = row.askedReps();
    String given = asked == null ? "" : "asked " + asked.shownIn(unit).number() + (askedReps == null ? "" : " × " + askedReps);
    String plan = row.told() ? "told" : given;
    boolean off = row.told() || asked != null && !asked.hits(row.load()) || askedReps != null && row.reps() < askedReps;
    return new LedgerSet(done, plan, row.reps() == 0, row.flagged(), off);
  }
}
