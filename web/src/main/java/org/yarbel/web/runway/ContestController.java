package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.Meets;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestEntry;
import org.yarbel.web.contest.ContestForm;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.form.Typed;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The club's contests: the list, a contest with who goes, and the plans that have to follow when it moves. */
@Controller
class ContestController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final Limit LIFTERS = Limit.of(300);

  private final Contests contests;
  private final Waiting waiting;
  private final LongPlans plans;
  private final LifterRepository lifters;
  private final Jobs jobs;
  private final Lifts lifts;
  private final ClubClock clock;

  ContestController(Contests contests, Waiting waiting, LongPlans plans, LifterRepository lifters, Jobs jobs, Lifts lifts,
      ClubClock clock) {
    this.contests = contests;
    this.waiting = waiting;
    this.plans = plans;
    this.lifters = lifters;
    this.jobs = jobs;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** A contest in the list. */
  record ContestRow(long id, String name, String sport, String day, @Nullable String in, String place, String federation,
      String rules, String classes, String who, long waiting, boolean past) {}

  /** Somebody who goes. */
  record EntryView(long lifterId, String name, String words, @Nullable String caution, String role) {}

  @GetMapping("/contests")
  String list(Model model) {
    LocalDate today = clock.today();
    List<Contest> all = contests.listed();
    Map<Long, List<ContestEntry>> entries = contests.entries(all.stream().map(Contest::id).toList());
    Map<Long, String> names = lifters.findAllById(entries.values().stream().flatMap(List::stream).map(ContestEntry::lifterId)
        .distinct().toList()).stream()
        .collect(Collectors.toMap(Lifter::id, Lifter::name));
    Map<Long, Long> elsewhere = waiting.count(all);
    model.addAttribute("rows", all.stream().map(contest -> row(contest, entries.getOrDefault(contest.id(), List.of()), names,
        elsewhere.getOrDefault(contest.id(), 0L), today)).toList());
    return "contest/list";
  }

  private static ContestRow row(Contest contest, List<ContestEntry> entries, Map<Long, String> names, long elsewhere, LocalDate today) {
    Contest.ContestSaid said = contest.said();
    LocalDate day = contest.day();
    boolean past = day != null && day.isBefore(today) || contest.state() == Contest.State.CANCELLED;
    long days = day == null ? 0 : ChronoUnit.DAYS.between(today, day);
    return new ContestRow(contest.id(), contest.name(), said.sport().word(), day == null ? contest.state().word() : DAY.format(day)
        + (contest.state() == Contest.State.CANCELLED ? ", cancelled" : ""), past || day == null ? null : away(days), said.place(),
        said.federation(), said.rules().word(), said.classes(), entries.stream().map(entry -> names
                .getOrDefault(entry.lifterId(), "")).collect(Collectors.joining(", ")), elsewhere, past);
  }

  private static String away(long days) {
    return "in " + (days < 14 ? Count.of(days, "day") : Count.of(days / 7, "week"));
  }

  @GetMapping("/contests/new")
  String blank(Model model) {
    fill(model, ContestForm.blank(), Map.of(), null);
    return "contest/page";
  }

  @GetMapping("/contests/{id}")
  String page(@PathVariable long id, Model model) {
    Contest contest = contests.contest(id);
    fill(model, ContestForm.of(contest, lifts.catalogue()), Map.of(), contest);
    return "contest/page";
  }

  private void fill(Model model, ContestForm form, Map<String, String> asked, @Nullable Contest contest) {
    model.addAttribute("form", form);
    model.addAttribute("asked", asked.entrySet());
    model.addAttribute("sports", Contest.Sport.values());
    model.addAttribute("states", Contest.State.values());
    model.addAttribute("rules", AllowedGear.values());
    model.addAttribute("title", contest == null ? "New contest" : contest.name());
    model.addAttribute("version", contest == null ? "" : Integer.toString(contest.version()));
    if (contest != null) {
      List<ContestEntry> going = contests.entries(contest.id());
      Map<Long, Lifter> byId = lifters.findAllById(going.stream().map(ContestEntry::lifterId).toList()).stream()
          .collect(Collectors.toMap(Lifter::id, l -> l));
      Map<Long, List<Contests.Going>> all = contests.of(byId.keySet());
      model.addAttribute("entries", going.stream()
          .map(entry -> entry(contest, entry, byId.get(entry.lifterId()), all.getOrDefault(entry.lifterId(), List.of()))).toList());
      model.addAttribute("lifters", lifters.named("", LIFTERS).stream()
          .map(lifter -> Map.entry(Long.toString(lifter.id()), lifter.name())).toList());
      model.addAttribute("waiting", waiting.of(contest).stream()
          .map(one -> new WaitingView(one.lifter().id(), one.lifter().name(), one.due().changes().stream()
          .map(Changed::what).collect(Collectors.joining("; ")))).toList());
    }
  }

  /** A lifter whose plan leads elsewhere, and what a refit would change. */
  record WaitingView(long lifterId, String name, String words) {}

  private EntryView entry(Contest contest, ContestEntry entry, Lifter lifter, List<Contests.Going> going) {
    String role = Contests.roles(going, clock.today()).stream().filter(one -> one.meet().id() == contest.id()).map(Meets.Role::why)
        .findFirst().orElse("");
    String words = (entry.weightClass().isEmpty() ? "" : "class " + entry.weightClass()) + (entry.weighIn() == null ? ""
        : (entry.weightClass().isEmpty() ? ""
        : ", ") + "weigh-in " + DAY.format(entry.weighIn())) + (entry.counts() ? ", the one that counts" : "");
    String bag = contest.said().rules().forbids(lifter.gear()).stream().map(Gear::word).collect(Collectors.joining(", "));
    return new EntryView(lifter.id(), lifter.name(), words, bag.isEmpty() ? null : "Not allowed there, but usual in training: "
        + bag + ".", role);
  }

  @PostMapping("/contests")
  ModelAndView add(@RequestParam Map<String, String> all, RedirectAttributes flash) {
    return keep(null, all, flash);
  }

  @PostMapping("/contests/{id}")
  ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> all, RedirectAttributes flash) {
    return keep(contests.contest(id), all, flash);
  }

  private ModelAndView keep(@Nullable Contest stored, Map<String, String> all, RedirectAttributes flash) {
    Typed typed = new Typed(all);
    if (stored != null && !typed.text("version").equals(Integer.toString(stored.version()))) {
      typed.wrong("name", "Meanwhile somebody else changed this contest: what you typed is here, load the page anew to see theirs.");
    }
    Optional<Contest.ContestSaid> said = ContestForm.read(typed, lifts.catalogue(), clock.today(), stored == null ? null : stored.day());
    if (said.isEmpty() || !typed.fine()) {
      ExtendedModelMap model = new ExtendedModelMap();
      fill(model, new ContestForm(stored == null ? null : Long.valueOf(stored.id()), all, typed.errors()), typed.asked(), stored);
      ModelAndView again = new ModelAndView("contest/page", model);
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    Contest kept = contests.keep(stored == null ? null : Long.valueOf(stored.id()), said.get());
    flash.addFlashAttribute("said", stored == null ? "Written down. Choose who goes." : "Kept.");
    return new ModelAndView("redirect:/contests/" + kept.id());
  }

  @PostMapping("/contests/{id}/entries")
  String send(@PathVariable long id, @RequestParam Map<String, String> all, RedirectAttributes flash) {
    Typed typed = new Typed(all);
    Contest contest = contests.contest(id);
    Lifter lifter = lifters.findById(typed.text("lifter").matches("\\d{1,18}") ? Long.parseLong(typed.text("lifter")) : -1)
        .orElseThrow(NotFound::new);
    LocalDate weighIn = typed.day("weighIn", clock.today().plusWeeks(4));
    LocalDate day = contest.day();
    if (weighIn != null && day != null && (weighIn.isAfter(day) || weighIn.isBefore(day.minusDays(7)))) {
      typed.wrong("weighIn", "The weigh-in must be in the week before the contest on " + day + " but was " + weighIn + ".");
    }
    typed.note("weightClass", 40);
    if (!typed.fine()) {
      flash.addFlashAttribute("entryError", String.join(" ", typed.errors().values()));
      flash.addFlashAttribute("entryTyped", new HashMap<>(all));
      return "redirect:/contests/" + id;
    }
    contests.send(id, lifter.id(), typed.text("weightClass"), weighIn, typed.ticked("counts"));
    String role = Contests.roles(contests.of(lifter.id()), clock.today()).stream().filter(one -> one.meet().id() == id)
        .map(Meets.Role::why).findFirst().orElse("");
    flash.addFlashAttribute("said", lifter.name() + " goes." + (role.isEmpty() ? "" : " " + role) + (plans.of(lifter.id()).isEmpty()
        ? " There is no long plan yet: the Runway proposes one." : ""));
    return "redirect:/contests/" + id;
  }

  @PostMapping("/contests/{id}/entries/{lifterId}/remove")
  String stay(@PathVariable long id, @PathVariable long lifterId, RedirectAttributes flash) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    contests.stay(id, lifterId);
    flash.addFlashAttribute("said", lifter.name() + " does not go. Send them again with the form below.");
    return "redirect:/contests/" + id;
  }

  @PostMapping("/contests/{id}/remove")
  String remove(@PathVariable long id, RedirectAttributes flash) {
    Contest contest = contests.remove(id, true);
    flash.addFlashAttribute("said", contest.name() + " is out of the list.");
    flash.addFlashAttribute("bring", id);
    return "redirect:/contests";
  }

  @PostMapping("/contests/{id}/back")
  String bring(@PathVariable long id, RedirectAttributes flash) {
    flash.addFlashAttribute("said", contests.remove(id, false).name() + " is back.");
    return "redirect:/contests";
  }

  /** Refits every plan that leads elsewhere, in the background. */
  @PostMapping("/contests/{id}/refit")
  String refit(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Contest contest = contests.contest(id);
    List<Lifter> concerned = waiting.lifters(contest);
    if (concerned.isEmpty()) {
      flash.addFlashAttribute("said", "Every plan leads there already.");
      return "redirect:/contests/" + id;
    }
    long job = jobs.start(RefitWork.KIND, "Plans refitted to " + contest.name(), "", LifterWork.items(concerned), who);
    return "redirect:/jobs/" + job + "?back=/contests/" + id;
  }
}
