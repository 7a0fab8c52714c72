package org.yarbel.web.runway;

import jakarta.servlet.http.HttpServletRequest;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.Editing;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.core.plan.cycle.TaperShape;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.form.Typed;
import org.yarbel.web.group.GroupBoards;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.NumbersChanged;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The Runway: its page, and the forms on it. */
@Controller
class RunwayController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final int USES = 12;

  private final Runways runways;
  private final RunwayService service;
  private final Goals goals;
  private final LongPlans plans;
  private final Contests contests;
  private final LifterRepository lifters;
  private final GroupBoards groups;
  private final Undo undo;
  private final Jobs jobs;
  private final Lifts lifts;
  private final ApplicationEventPublisher events;
  private final ClubClock clock;

  RunwayController(Runways runways, RunwayService service, Goals goals, LongPlans plans, Contests contests, LifterRepository lifters, GroupBoards groups,
      Undo undo, Jobs jobs, Lifts lifts, ApplicationEventPublisher events, ClubClock clock) {
    this.events = events;
    this.runways = runways;
    this.service = service;
    this.goals = goals;
    this.plans = plans;
    this.contests = contests;
    this.lifters = lifters;
    this.groups = groups;
    this.undo = undo;
    this.jobs = jobs;
    this.lifts = lifts;
    this.clock = clock;
  }

  @GetMapping("/lifters/{id}/runway")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable Integer block, @RequestParam(defaultValue = "") String taper,
      @RequestParam(defaultValue = "") String propose, Model model) {
    Lifter lifter = lifter(id);
    LongPlans.Kept kept = fill(model, lifter, taper, propose);
    if (block != null && kept != null) {
      model.addAttribute("form", RunwayForms.of(kept.plan().block(block).orElseThrow(NotFound::new).block(), lifts.catalogue()));
    }
    return "runway/page";
  }

  /** Fills the page; answers the plan it shows. */
  private LongPlans.@Nullable Kept fill(Model model, Lifter lifter, String taper, String propose) {
    Runways.Situation now = runways.of(lifter);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("unit", lifter.unit().symbol());
    model.addAttribute("going", now.going().stream().map(going -> RunwayViews.GoingView.of(going, now, lifter)).toList());
    model.addAttribute("head", head(lifter, now));
    model.addAttribute("wrong", now.wrong());
    model.addAttribute("due", now.due() == null ? null : now.due().changes());
    List<Contest> coming = now.going().stream().map(Contests.Going::contest).filter(contest -> contest.takesPlace() && !day(contest).isBefore(clock.today())).toList();
    model.addAttribute("coming", coming.stream().map(contest -> Map.entry(Long.toString(contest.id()), contest.name() + ", " + DAY.format(day(contest)))).toList());
    if (now.kept() != null) {
      TaperShape shape = shape(taper);
      List<RunwayService.Contested> marked = now.going().stream().filter(going -> going.contest().takesPlace()).map(going -> new RunwayService.Contested(
          going.contest().name(), day(going.contest()), now.roles().stream().noneMatch(role -> role.meet().id() == going.contest().id() && !role.peak()))).toList();
      RunwayService.Shown shown = service.show(lifter, now.kept(), marked, shape);
      model.addAttribute("chart", RunwayChart.of(shown));
      model.addAttribute("weeks", shown.weeks());
      model.addAttribute("goals", shown.goals().stream().map(goal -> RunwayViews.GoalView.of(goal, shown, lifter)).toList());
      model.addAttribute("ready", RunwayViews.Ready.of(shown, shape));
      model.addAttribute("shapes", TaperShape.values());
      model.addAttribute("shape", shape);
      model.addAttribute("over", now.kept().plan().over());
      model.addAttribute("parked", now.kept().plan().parked());
      model.addAttribute("purposes", Purpose.values());
      model.addAttribute("kinds", Deload.values());
      model.addAttribute("bases", List.of(Basis.ESTIMATED, Basis.TESTED, Basis.TRAINING, Basis.GOAL));
      model.addAttribute("methods", Method.values());
      model.addAttribute("lifts", lifts.offered());
      List<Lifter> all = lifters.named("", Limit.of(300));
      model.addAttribute("groups", groups.all(all));
      model.addAttribute("others", all.stream().filter(other -> other.id() != lifter.id())
          .map(other -> Map.entry(Long.toString(other.id()), other.name())).toList());
    }
    model.addAttribute("propose", propose);
    if (!propose.isEmpty() || now.kept() == null) {
      propose(model, lifter, coming, propose);
    }
    return now.kept();
  }

  private void propose(Model model, Lifter lifter, List<Contest> coming, String propose) {
    Contest to = coming.stream().filter(contest -> propose.isEmpty() || propose.equals(Long.toString(contest.id()))).findFirst().orElse(null);
    boolean open = propose.equals("open") || to == null;
    try {
      Proposal proposal = runways.propose(lifter, open ? null : to);
      model.addAttribute("proposal", RunwayViews.ProposalView.of(proposal, open || to == null ? "" : Long.toString(to.id())));
      if (!model.containsAttribute("chart")) {
        List<RunwayService.Contested> marked = open || to == null ? List.of() : List.of(new RunwayService.Contested(to.name(), day(to), true));
        model.addAttribute("proposed", RunwayChart.of(service.show(lifter, new LongPlans.Kept(proposal.plan(), null, 0), marked, TaperShape.ONE_WEEK)));
      }
      model.addAttribute("inTheWay", runways.inTheWay(lifter, proposal.plan()).stream().map(line -> RunwayViews.line(line, lifts.catalogue())).toList());
      model.addAttribute("ways", InTheWay.Way.values());
    } catch (Refused refused) {
      model.addAttribute("noProposal", refused.sentence());
    }
  }

  private String head(Lifter lifter, Runways.Situation now) {
    LongPlans.Kept kept = now.kept();
    if (kept == null) {
      return "No long plan yet";
    }
    LocalDate contest = kept.plan().contest();
    if (contest == null) {
      return kept.plan().holds() ? "Holding until there is a date" : "Open-ended";
    }
    long days = ChronoUnit.DAYS.between(clock.today(), contest);
    String name = now.contest().map(Contest::name).orElse("the contest");
    return days < 0 ? name + " is behind" : days == 0 ? name + " is today" : days < 14 ? days + (days == 1 ? " day to " : " days to ") + name
        : Count.of(days / 7, "week") + " to " + name + ", " + DAY.format(contest);
  }

  private static LocalDate day(Contest contest) {
    return Objects.requireNonNull(contest.day());
  }

  private static TaperShape shape(String name) {
    for (TaperShape shape : TaperShape.values()) {
      if (shape.name().equals(name)) {
        return shape;
      }
    }
    return TaperShape.ONE_WEEK;
  }

  @PostMapping("/lifters/{id}/runway/plan")
  String take(@PathVariable long id, @RequestParam(defaultValue = "") String contest, @RequestParam(defaultValue = "") String way,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    Contest to = contest.isEmpty() ? null : contests.of(id).stream().map(Contests.Going::contest).filter(own -> Long.toString(own.id()).equals(contest))
        .findFirst().orElseThrow(NotFound::new);
    try {
      Proposal proposal = runways.propose(lifter, to);
      List<InTheWay.Line> lines = runways.inTheWay(lifter, proposal.plan());
      Optional<InTheWay.Way> chosen = InTheWay.Way.ofKey(way);
      if (!lines.isEmpty() && chosen.isEmpty()) {
        flash.addFlashAttribute("said", "Not taken yet: " + lines.size() + (lines.size() == 1 ? " line stands" : " lines stand") + " in its way. Choose below what becomes of "
            + (lines.size() == 1 ? "it." : "them."));
        return back(id) + "?propose=" + (contest.isEmpty() ? "open" : contest);
      }
      Optional<Long> change = runways.take(lifter, proposal, to, chosen.orElse(InTheWay.Way.JOIN), who);
      said(flash, "The plan is taken; the next four weeks are written. Methods of the same lifts end where it begins.", List.of(), change);
    } catch (Refused refused) {
      flash.addFlashAttribute("said", refused.sentence());
    }
    return back(id);
  }

  static void said(RedirectAttributes flash, String sentence, List<Changed> changed, Optional<Long> change) {
    flash.addFlashAttribute("said", sentence);
    flash.addFlashAttribute("changed", RunwayViews.ChangedView.of(changed));
    change.ifPresent(made -> flash.addFlashAttribute("undo", made));
  }

  static String back(long id) {
    return "redirect:/lifters/" + id + "/runway";
  }

  /** What a button of a block does. */
  private static Function<Editing, Refit> action(int no, String action, Typed typed) {
    return switch (action) {
      case "longer" -> editing -> editing.stretch(no, 1);
      case "shorter" -> editing -> editing.stretch(no, -1);
      case "earlier" -> editing -> editing.move(no, -1);
      case "later" -> editing -> editing.move(no, 1);
      case "repeat" -> editing -> editing.repeat(no);
      case "merge" -> editing -> editing.merge(no);
      case "remove" -> editing -> editing.remove(no);
      case "split" -> editing -> editing.split(no, typed.text("first").matches("\\d{1,2}") ? Integer.parseInt(typed.text("first")) : 0);
      case "insert" -> {
        Purpose purpose = typed.choice("purpose", Purpose.class).orElse(Purpose.STRENGTH);
        int weeks = typed.text("weeks").matches("[1-9]|1\\d|2[0-6]") ? Integer.parseInt(typed.text("weeks")) : purpose.least();
        yield editing -> editing.insert(no, purpose, weeks);
      }
      default -> throw new NotFound();
    };
  }

  @PostMapping("/lifters/{id}/runway/blocks/{no}/{action}")
  String edit(@PathVariable long id, @PathVariable int no, @PathVariable String action, @RequestParam Map<String, String> all,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    apply(id, action(no, action, new Typed(all)), who, flash);
    boolean stays = plans.of(id).flatMap(kept -> kept.plan().block(no)).isPresent();
    return back(id) + (stays ? "?block=" + no : "");
  }

  private void apply(long id, Function<Editing, Refit> what, SignedIn who, RedirectAttributes flash) {
    try {
      Runways.Edited edited = runways.edit(lifter(id), what, who);
      said(flash, edited.change().isEmpty() ? "Nothing had to change." : "Changed.", edited.refit().changes(), edited.change());
    } catch (Refused refused) {
      flash.addFlashAttribute("said", "Not changed. " + refused.sentence());
    }
  }

  @PostMapping("/lifters/{id}/runway/blocks/{no}")
  ModelAndView save(@PathVariable long id, @PathVariable int no, @RequestParam Map<String, String> all, @RequestParam MultiValueMap<String,
      String> every, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    Block stored = plans.of(id).flatMap(kept -> kept.plan().block(no)).orElseThrow(NotFound::new).block();
    Map<Integer, Set<DayOfWeek>> days = new HashMap<>();
    for (int at = 0; at < USES; at++) {
      Set<DayOfWeek> on = EnumSet.noneOf(DayOfWeek.class);
      List<String> ticked = every.getOrDefault("days-" + at, List.of());
      EnumSet.allOf(DayOfWeek.class).stream().filter(day -> ticked.contains(day.name())).forEach(on::add);
      days.put(at, on);
    }
    RunwayForms.Read read = RunwayForms.read(stored, new Typed(all), days, lifts.catalogue());
    if (read.block().isEmpty()) {
      ExtendedModelMap model = new ExtendedModelMap();
      fill(model, lifter, "", "");
      model.addAttribute("form", read.form());
      ModelAndView again = new ModelAndView("runway/page", model);
      again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      return again;
    }
    apply(id, editing -> editing.change(read.block().get()), who, flash);
    return new ModelAndView(back(id) + "?block=" + no);
  }

  /** Somebody else changed the plan in the same moment. */
  @ExceptionHandler(OptimisticLockingFailureException.class)
  String meanwhile(HttpServletRequest request) {
    RequestContextUtils.getOutputFlashMap(request).put("said", "Not changed: meanwhile somebody else changed this plan. Look at it again.");
    return "redirect:" + request.getRequestURI().replaceFirst("/runway.*", "/runway");
  }

  @PostMapping("/lifters/{id}/runway/goal")
  String goal(@PathVariable long id, @RequestParam Map<String, String> all, RedirectAttributes flash) {
    Goals.Outcome outcome = goals.aim(lifter(id), new Typed(all));
    if (outcome.errors().isEmpty()) {
      events.publishEvent(new NumbersChanged(id));
    }
    flash.addFlashAttribute("said", outcome.said());
    flash.addFlashAttribute("goalErrors", new HashMap<>(outcome.errors()));
    flash.addFlashAttribute("goalTyped", new HashMap<>(all));
    return back(id) + "#goals";
  }

  @PostMapping("/lifters/{id}/runway/end")
  String end(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    said(flash, "The plan is ended: what it had written ahead is out, what you edited stays.", List.of(), plans.end(lifter(id), who));
    return back(id);
  }

  @PostMapping("/lifters/{id}/runway/undo")
  String undo(@PathVariable long id, @RequestParam long change, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    if (undo.lifterOf(change) != id) {
      throw new NotFound();
    }
    flash.addFlashAttribute("said", undo.change(change));
    return back(id);
  }

  /** Gives the plan to other lifters, in the background. */
  @PostMapping("/lifters/{id}/runway/copy")
  String copy(@PathVariable long id, @RequestParam(required = false) @Nullable List<Long> to, @RequestParam(required = false) @Nullable List<Long> group,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    plans.of(id).orElseThrow(NotFound::new);
    Set<Long> chosen = new HashSet<>(to == null ? List.of() : to);
    if (group != null) {
      group.forEach(one -> groups.lifters(one).forEach(member -> chosen.add(member.id())));
    }
    chosen.remove(id);
    Set<Long> known = lifters.findAllById(chosen).stream().map(Lifter::id).collect(Collectors.toSet());
    if (known.isEmpty()) {
      flash.addFlashAttribute("said", "Nobody was chosen: tick a lifter or a group.");
      return back(id);
    }
    long job = jobs.start(CopyWork.KIND, "The plan of " + lifter.name() + " copied", Long.toString(id), known, who);
    return "redirect:/jobs/" + job + "?back=/lifters/" + id + "/runway";
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
