package org.yarbel.web.runway;

import java.time.LocalDate;
import java.util.Map;
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
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The refit: looked at, and taken. */
@Controller
class RefitController {
  private final Runways runways;
  private final RunwayService service;
  private final Contests contests;
  private final LifterRepository lifters;

  RefitController(Runways runways, RunwayService service, Contests contests, LifterRepository lifters) {
    this.runways = runways;
    this.service = service;
    this.contests = contests;
    this.lifters = lifters;
  }

  /** The refit that is due, or what would come of another date. */
  @GetMapping("/lifters/{id}/runway/refit")
  String refit(@PathVariable long id, @RequestParam(defaultValue = "") String day, @RequestParam(defaultValue = "") String state,
      Model model) {
    Lifter lifter = lifter(id);
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("day", day);
    model.addAttribute("state", state);
    try {
      Runways.WhatIf moved = whatIf(day, state);
      Runways.Situation now = runways.of(lifter, moved);
      model.addAttribute("whatIf", moved != null);
      model.addAttribute("contest", now.contest().map(Contest::name).orElse("the contest"));
      model.addAttribute("alone", moved == null ? 0 : others(now, id));
      model.addAttribute("wrong", now.wrong());
      model.addAttribute("refit", now.due() == null ? null
          : RefitView.of(now.due(), plan -> service.written(lifter, plan, now.due().from())));
    } catch (NoDay refused) {
      model.addAttribute("wrong", refused.getMessage());
    }
    return "runway/refit";
  }

  /** The day it moves to was not given, or cannot be read; the message is a sentence. */
  private static final class NoDay extends Exception {
    private static final long serialVersionUID = 1;

    NoDay(String sentence) {
      super(sentence, null, false, false);
    }
  }

  private int others(Runways.Situation now, long id) {
    return now.contest().map(contest -> (int) contests.entries(contest.id()).stream().filter(entry -> entry.lifterId() != id)
        .count()).orElse(0);
  }

  private static Runways.@Nullable WhatIf whatIf(String day, String state) throws NoDay {
    if (day.isBlank() && state.isBlank()) {
      return null;
    }
    if (state.equals("POSTPONED") || state.equals("CANCELLED")) {
      return new Runways.WhatIf(null, Contest.State.valueOf(state));
    }
    Typed typed = new Typed(Map.of("day", day));
    LocalDate to = typed.day("day", LocalDate.of(2026, 5, 2));
    if (to == null) {
      throw new NoDay(typed.errors().getOrDefault("day", "Write the day the contest moves to."));
    }
    return new Runways.WhatIf(to, Contest.State.PLANNED);
  }

  /** Takes the refit that was looked at; with another date the contest moves too. */
  @PostMapping("/lifters/{id}/runway/refit")
  String takeRefit(@PathVariable long id, @RequestParam(defaultValue = "") String day, @RequestParam(defaultValue = "") String state,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    try {
      Runways.WhatIf moved = whatIf(day, state);
      Runways.Situation now = runways.of(lifter, moved);
      if (now.due() == null) {
        flash.addFlashAttribute("said", now.wrong() == null ? "The plan leads there already." : now.wrong());
        return RunwayController.back(id);
      }
      if (moved != null) {
        now.contest().ifPresent(contest -> move(contest, moved));
      }
      Optional<Long> change = runways.take(lifter, now.due(), now.contestId(), who);
      int others = moved == null ? 0 : others(now, id);
      RunwayController.said(flash, "Refitted: what is done stays. Undo brings the old plan back; the contest's date stays."
          + (others == 0 ? "" : " " + others
          + (others == 1 ? " more lifter goes there: " : " more lifters go there: ") + "refit them on the contest's page."),
          now.due().changes(), change);
    } catch (NoDay refused) {
      flash.addFlashAttribute("said", "Not refitted. " + refused.getMessage());
    }
    return RunwayController.back(id);
  }

  private void move(Contest contest, Runways.WhatIf moved) {
    Contest.ContestSaid said = contest.said();
    contests.keep(contest.id(), new Contest.ContestSaid(said.name(), said.sport(), moved.state(), moved.day() == null ? said.day()
        : moved.day(), said.place(), said.federation(), said.rules(), said.further(), said.classes(), said.events()));
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
