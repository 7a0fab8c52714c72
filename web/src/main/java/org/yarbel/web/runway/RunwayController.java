package org.yarbel.web.runway;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The Runway: its page, taking and ending a plan, and taking back what was done. */
@Controller
class RunwayController {
  private final RunwayPage page;
  private final Runways runways;
  private final LongPlans plans;
  private final LifterRepository lifters;
  private final Undo undo;
  private final Lifts lifts;

  RunwayController(RunwayPage page, Runways runways, LongPlans plans, LifterRepository lifters, Undo undo, Lifts lifts) {
    this.page = page;
    this.runways = runways;
    this.plans = plans;
    this.lifters = lifters;
    this.undo = undo;
    this.lifts = lifts;
  }

  @GetMapping("/lifters/{id}/runway")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable Integer block, @RequestParam(defaultValue = "") String taper,
      @RequestParam(defaultValue = "") String propose, Model model) {
    LongPlans.KeptPlan kept = page.fill(model, lifter(id), RunwayPage.RunwayAsked.of(taper, propose));
    if (block != null && kept != null) {
      model.addAttribute("form", RunwayForms.of(kept.plan().block(block).orElseThrow(NotFound::new).block(), lifts.catalogue()));
    }
    return "runway/page";
  }

  @PostMapping("/lifters/{id}/runway/plan")
  String take(@PathVariable long id, @RequestParam(defaultValue = "") String contest, @RequestParam(defaultValue = "") String way,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    Contest to = contest.isEmpty() ? null : runways.contest(id, contest);
    try {
      Proposal proposal = runways.propose(lifter, to);
      List<InTheWay.LineInTheWay> lines = runways.inTheWay(lifter, proposal.plan());
      Optional<InTheWay.Way> chosen = InTheWay.Way.ofKey(way);
      if (!lines.isEmpty() && chosen.isEmpty()) {
        flash.addFlashAttribute("said", lines.size() == 1 ? "Not taken yet: 1 line stands in its way. Choose below what becomes of it."
            : "Not taken yet: " + lines.size() + " lines stand in its way. Choose below what becomes of them.");
        return back(id) + "?propose=" + (contest.isEmpty() ? RunwayPage.OPEN : contest);
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

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
