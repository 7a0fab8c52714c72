package org.yarbel.web.runway;

import java.util.HashMap;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.NumbersChanged;
import org.yarbel.web.problem.NotFound;

/** The goals below the Runway. */
@Controller
class GoalController {
  private final Goals goals;
  private final LifterRepository lifters;
  private final ApplicationEventPublisher events;

  GoalController(Goals goals, LifterRepository lifters, ApplicationEventPublisher events) {
    this.goals = goals;
    this.lifters = lifters;
    this.events = events;
  }

  @PostMapping("/lifters/{id}/runway/goal")
  String goal(@PathVariable long id, @RequestParam Map<String, String> all, RedirectAttributes flash) {
    Goals.GoalOutcome outcome = goals.aim(lifters.findById(id).orElseThrow(NotFound::new), new Typed(all));
    if (outcome.errors().isEmpty()) {
      events.publishEvent(new NumbersChanged(id));
    }
    flash.addFlashAttribute("said", outcome.said());
    flash.addFlashAttribute("goalErrors", new HashMap<>(outcome.errors()));
    flash.addFlashAttribute("goalTyped", new HashMap<>(all));
    return RunwayController.back(id) + "#goals";
  }
}
