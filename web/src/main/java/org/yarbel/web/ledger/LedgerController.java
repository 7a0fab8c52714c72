package org.yarbel.web.ledger;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.RepSpeeds;
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
import org.yarbel.web.log.SetInWords;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetState;
import org.yarbel.web.log.SpeedSource;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The Ledger: a page of the sets of one lift, newest first, all of them or only some, and a stretch of its tracked max. */
@Controller
class LedgerController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private static final int WIDTH = 1180;
  private static final int HEIGHT = 280;

  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final LedgerService ledger;
  private final Lifts clubLifts;
  private final ClubClock clock;

  LedgerController(LifterRepository lifters, LiftNumbersRepository numbers, LedgerService ledger, Lifts clubLifts, ClubClock clock) {
    this.lifters = lifters;
    this.numbers = numbers;
    this.ledger = ledger;
    this.clubLifts = clubLifts;
    this.clock = clock;
  }

  /** One day of a lift. */
  public record LedgerDay(String day, List<LedgerSet> sets) {}

  /**
   * One set: what was done against what was asked.
   *
   * @param said what was said of it beside its figures, each thing by itself
   * @param clips the addresses of its clips
   */
  public record LedgerSet(String done, String asked, boolean missed, boolean flagged, boolean off, List<String> said, List<String> clips) {}

  /** A lift to choose. */
  public record LedgerLift(String key, String name, boolean open) {}

  /** The most reps at a load, and when. */
  public record LedgerBest(String load, int reps, String day) {}

  /** What is looked at, and the addresses of what else can be. */
  public record LedgerLook(long id, String lift, LedgerFilter only, LedgerStretch stretch, LocalDate today) {
    /** The same with something else. */
    private String at(LedgerFilter other, LedgerStretch longer, @Nullable LocalDate before) {
      UriComponentsBuilder address = UriComponentsBuilder.fromPath("/lifters/{id}/ledger").queryParam("lift", lift);
      if (!other.equals(LedgerFilter.ALL)) {
        address.queryParam("only", other.key());
      }
      address.queryParam("weeks", longer.weeks());
      if (!longer.until().equals(today)) {
        address.queryParam("until", longer.until());
      }
      if (before != null) {
        address.queryParam("before", before);
      }
      return address.buildAndExpand(id).toUriString();
    }

    public String length(int weeks) {
      return at(only, new LedgerStretch(weeks, stretch.until()), null);
    }

    public String earlier() {
      return at(only, new LedgerStretch(stretch.weeks(), stretch.from()), null);
    }

    /** Null where nothing is later. */
    public @Nullable String later() {
      LocalDate end = stretch.until().plusWeeks(stretch.weeks());
      return stretch.until().isBefore(today) ? at(only, new LedgerStretch(stretch.weeks(), end.isAfter(today) ? today : end), null) : null;
    }

    public String older(String before) {
      return at(only, stretch, LocalDate.parse(before));
    }
  }

  @GetMapping("/lifters/{id}/ledger")
  String page(@PathVariable long id, @RequestParam(defaultValue = "") String lift, @RequestParam(defaultValue = "") String only,
      @RequestParam(defaultValue = "0") int weeks, @RequestParam(required = false) @Nullable LocalDate until,
      @RequestParam(required = false) @Nullable LocalDate before, @AuthenticationPrincipal SignedIn who, Model model) {
    Lifter lifter = lifters.findById(id).filter(l -> who.maySee(id)).orElseThrow(NotFound::new);
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(id));
    List<String> known = own.stream().map(LiftNumbers::lift).toList();
    Catalogue catalogue = clubLifts.catalogue();
    List<Lift> lifts = catalogue.all().stream().filter(l -> known.contains(l.key())).toList();
    Lift open = catalogue.ofKey(lift).filter(lifts::contains)
        .or(() -> lifts.stream().findFirst())
        .orElseGet(() -> catalogue.all().get(0));
    LocalDate today = clock.today();
    LedgerFilter filter = LedgerFilter.of(only);
    LedgerStretch stretch = LedgerStretch.of(weeks, until == null ? today : until, today);
    LedgerService.Page page = ledger.page(lifter, open.key(), before == null ? today.plusDays(1) : before, filter);
    MassUnit unit = lifter.unit();
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("lifts", lifts.stream().map(l -> new LedgerLift(l.key(), l.name(), l.equals(open))).toList());
    model.addAttribute("lift", open);
    model.addAttribute("unit", unit.symbol());
    model.addAttribute("now", now(own, open, unit, today));
    model.addAttribute("look", new LedgerLook(id, open.key(), filter, stretch, today));
    model.addAttribute("lengths", LedgerStretch.lengths());
    model.addAttribute("filters", filter.offered(open));
    model.addAttribute("chart", LedgerChart.of(ledger.points(lifter, open.key(), stretch), ledger.blocks(lifter, stretch), unit, WIDTH,
        HEIGHT));
    model.addAttribute("days", days(page, unit, catalogue, who.staff()));
    model.addAttribute("best", before != null ? List.of()
        : ledger.best(lifter, open.key()).stream().map(best -> best(best, unit)).toList());
    model.addAttribute("older", page.more() ? page.rows().get(page.rows().size() - 1).day().toString() : null);
    return "ledger/page";
  }

  private static LedgerBest best(LoggedSetRepository.Best best, MassUnit unit) {
    return new LedgerBest(Mass.ofNanograms(best.getLoadNg(), unit).number(), best.getReps(), SHORT.format(best.getDay()));
  }

  private static @Nullable String now(List<LiftNumbers> own, Lift lift, MassUnit unit, LocalDate today) {
    return own.stream().filter(n -> n.lift().equals(lift.key())).findFirst().map(n -> n.estimate(unit, today))
        .map(estimate -> estimate.text(unit) + " " + unit).orElse(null);
  }

  private static List<LedgerDay> days(LedgerService.Page page, MassUnit unit, Catalogue lifts, boolean coach) {
    Map<LocalDate, List<LedgerSet>> byDay = new LinkedHashMap<>();
    for (LoggedSetRow row : page.rows()) {
      List<SetMark> marks = page.marks().getOrDefault(row.id(), List.of());
      byDay.computeIfAbsent(row.day(), day -> new ArrayList<>()).add(0, set(row, marks, films(page, row, coach), unit, lifts));
    }
    List<LedgerDay> days = new ArrayList<>();
    byDay.forEach((day, sets) -> days.add(new LedgerDay(DAY.format(day), sets)));
    return days;
  }

  private static List<String> films(LedgerService.Page page, LoggedSetRow row, boolean coach) {
    return page.clips().getOrDefault(row.id(), List.of()).stream()
        .map(clip -> coach ? "/clips/" + clip.id() + "/review" : "/sessions/" + clip.sessionId() + "/clips").toList();
  }

  private static LedgerSet set(LoggedSetRow row, List<SetMark> marks, List<String> clips, MassUnit unit, Catalogue lifts) {
    SetInWords words = SetInWords.of(row);
    String plan = row.told() ? "told" : words.asked(unit, lifts.ofKey(row.askedLift() == null ? "" : row.askedLift()));
    return new LedgerSet(words.done(unit), plan, row.reps() == 0, row.flagged(), row.told() || words.offPlan(), said(row, marks), clips);
  }

  private static List<String> said(LoggedSetRow row, List<SetMark> marks) {
    List<String> said = new ArrayList<>();
    SetState state = row.state();
    if (!state.words().isEmpty()) {
      said.add(state.words());
    }
    marks.forEach(mark -> said.add(mark.mark().words() + (mark.byCoach() ? " (coach)" : "")));
    if (state.gear() != null) {
      said.add(state.gear().isEmpty() ? "no gear" : state.gear().stream().map(Gear::word).collect(Collectors.joining(", ")));
    }
    RepSpeeds speeds = state.repSpeeds();
    if (speeds != null) {
      said.add(speeds.words() + (state.speedSource() == SpeedSource.TYPED ? "" : " " + Objects.requireNonNull(state.speedSource()).word()));
    }
    if (row.opinion() != null) {
      said.add("looked like @" + row.opinion().looked() + ", counts as @" + row.ratingTaken());
    }
    return said;
  }
}
