package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.TaperShape;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.program.LongPlans;

/** What stands on the Runway: the plan drawn, its contests, its goals, a proposal to take, and whom it can be given to. */
@Component
class RunwayPage {
  /** Asks for a proposal that leads to no contest. */
  static final String OPEN = "open";

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
  private static final int A_FORTNIGHT = 14;

  private final Runways runways;
  private final RunwayService service;
  private final CopyController.CopyOffer copies;
  private final Lifts lifts;
  private final ClubClock clock;

  RunwayPage(Runways runways, RunwayService service, CopyController.CopyOffer copies, Lifts lifts, ClubClock clock) {
    this.runways = runways;
    this.service = service;
    this.copies = copies;
    this.lifts = lifts;
    this.clock = clock;
  }

  /**
   * What is asked of the page beside the plan as it stands.
   *
   * @param shape of the taper that readiness is drawn for
   * @param propose a contest to propose a plan for, {@link #OPEN}, or empty for none
   */
  record RunwayAsked(TaperShape shape, String propose) {
    static final RunwayAsked NOTHING = new RunwayAsked(TaperShape.ONE_WEEK, "");

    static RunwayAsked of(String taper, String propose) {
      return new RunwayAsked(Arrays.stream(TaperShape.values()).filter(shape -> shape.name().equals(taper)).findFirst()
          .orElse(TaperShape.ONE_WEEK), propose);
    }
  }

  /** Fills the page; answers the plan it shows, null without one. */
  LongPlans.@Nullable KeptPlan fill(Model model, Lifter lifter, RunwayAsked asked) {
    Runways.Situation now = runways.of(lifter);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("unit", lifter.unit().symbol());
    model.addAttribute("going", now.going().stream().map(going -> RunwayViews.GoingView.of(going, now, lifter)).toList());
    model.addAttribute("head", head(now));
    model.addAttribute("wrong", now.wrong());
    model.addAttribute("due", now.due() == null ? null : now.due().changes());
    List<Contest> coming = now.going().stream().map(Contests.Going::contest)
        .filter(contest -> contest.takesPlace() && !day(contest).isBefore(clock.today())).toList();
    model.addAttribute("coming", coming.stream()
        .map(contest -> Map.entry(Long.toString(contest.id()), contest.name() + ", " + DAY.format(day(contest)))).toList());
    if (now.kept() != null) {
      plan(model, lifter, now, now.kept(), asked.shape());
    }
    model.addAttribute("propose", asked.propose());
    if (!asked.propose().isEmpty() || now.kept() == null) {
      propose(model, lifter, coming, asked.propose());
    }
    return now.kept();
  }

  private void plan(Model model, Lifter lifter, Runways.Situation now, LongPlans.KeptPlan kept, TaperShape shape) {
    RunwayService.ShownRunway shown = service.show(lifter, kept, marked(now), shape);
    model.addAttribute("chart", RunwayChart.of(shown));
    model.addAttribute("weeks", shown.weeks());
    model.addAttribute("goals", shown.goals().stream().map(goal -> RunwayViews.GoalView.of(goal, shown, lifter)).toList());
    model.addAttribute("ready", RunwayViews.Ready.of(shown, shape));
    model.addAttribute("shapes", TaperShape.values());
    model.addAttribute("shape", shape);
    model.addAttribute("over", kept.plan().over());
    model.addAttribute("parked", kept.plan().parked());
    model.addAttribute("purposes", Purpose.values());
    model.addAttribute("kinds", Deload.values());
    model.addAttribute("bases", List.of(Basis.ESTIMATED, Basis.TESTED, Basis.TRAINING, Basis.GOAL));
    model.addAttribute("methods", Method.values());
    model.addAttribute("lifts", lifts.offered());
    copies.offer(model, lifter);
  }

  /** The contests that take place, and whether the plan peaks for each. */
  private static List<RunwayService.Contested> marked(Runways.Situation now) {
    Set<Long> tuneUps = now.roles().stream().filter(role -> !role.peak()).map(role -> role.meet().id()).collect(Collectors.toSet());
    return now.going().stream().map(Contests.Going::contest).filter(Contest::takesPlace)
        .map(contest -> new RunwayService.Contested(contest.name(), day(contest), !tuneUps.contains(contest.id()))).toList();
  }

  private void propose(Model model, Lifter lifter, List<Contest> coming, String propose) {
    Contest to = coming.stream().filter(contest -> propose.isEmpty() || propose.equals(Long.toString(contest.id()))).findFirst()
        .orElse(null);
    try {
      Proposal proposal = runways.propose(lifter, to);
      model.addAttribute("proposal", RunwayViews.ProposalView.of(proposal, to == null ? "" : Long.toString(to.id())));
      if (!model.containsAttribute("chart")) {
        List<RunwayService.Contested> marked = to == null ? List.of() : List.of(new RunwayService.Contested(to.name(), day(to), true));
        RunwayService.ShownRunway shown = service.show(lifter, new LongPlans.KeptPlan(proposal.plan(), null, 0), marked,
            TaperShape.ONE_WEEK);
        model.addAttribute("proposed", RunwayChart.of(shown));
      }
      model.addAttribute("inTheWay", runways.inTheWay(lifter, proposal.plan()).stream()
          .map(line -> RunwayViews.line(line, lifts.catalogue())).toList());
      model.addAttribute("ways", InTheWay.Way.values());
    } catch (Refused refused) {
      model.addAttribute("noProposal", refused.sentence());
    }
  }

  private String head(Runways.Situation now) {
    LongPlans.KeptPlan kept = now.kept();
    if (kept == null) {
      return "No long plan yet";
    }
    LocalDate contest = kept.plan().contest();
    if (contest == null) {
      return kept.plan().holds() ? "Holding until there is a date" : "Open-ended";
    }
    return head(now.contest().map(Contest::name).orElse("the contest"), contest, ChronoUnit.DAYS.between(clock.today(), contest));
  }

  private static String head(String name, LocalDate contest, long days) {
    if (days < 0) {
      return name + " is behind";
    }
    if (days == 0) {
      return name + " is today";
    }
    return days < A_FORTNIGHT ? Count.of(days, "day") + " to " + name : Count.of(days / 7, "week") + " to " + name + ", "
        + DAY.format(contest);
  }

  private static LocalDate day(Contest contest) {
    return Objects.requireNonNull(contest.day());
  }
}
