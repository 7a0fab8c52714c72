package org.yarbel.web.runway;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.group.GroupBoards;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** A long plan given to other lifters, in the background. */
@Controller
class CopyController {
  private static final int MOST_OFFERED = 300;

  private final LongPlans plans;
  private final LifterRepository lifters;
  private final GroupBoards groups;
  private final Jobs jobs;

  CopyController(LongPlans plans, LifterRepository lifters, GroupBoards groups, Jobs jobs) {
    this.plans = plans;
    this.lifters = lifters;
    this.groups = groups;
    this.jobs = jobs;
  }

  /** Whom a plan can be given to. */
  @Component
  static class CopyOffer {
    private final LifterRepository lifters;
    private final GroupBoards groups;

    CopyOffer(LifterRepository lifters, GroupBoards groups) {
      this.lifters = lifters;
      this.groups = groups;
    }

    void offer(Model model, Lifter lifter) {
      List<Lifter> all = lifters.named("", Limit.of(MOST_OFFERED));
      model.addAttribute("groups", groups.all(all));
      model.addAttribute("others", all.stream().filter(other -> other.id() != lifter.id())
          .map(other -> Map.entry(Long.toString(other.id()), other.name())).toList());
    }
  }

  @PostMapping("/lifters/{id}/runway/copy")
  String copy(@PathVariable long id, @RequestParam(required = false) @Nullable List<Long> to,
      @RequestParam(required = false) @Nullable List<Long> group, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifters.findById(id).orElseThrow(NotFound::new);
    plans.of(id).orElseThrow(NotFound::new);
    Set<Long> chosen = new HashSet<>(to == null ? List.of() : to);
    if (group != null) {
      group.forEach(one -> groups.lifters(one).forEach(member -> chosen.add(member.id())));
    }
    chosen.remove(id);
    List<Lifter> known = lifters.findAllById(chosen);
    if (known.isEmpty()) {
      flash.addFlashAttribute("said", "Nobody was chosen: tick a lifter or a group.");
      return RunwayController.back(id);
    }
    long job = jobs.start(CopyWork.KIND, "The plan of " + lifter.name() + " copied", lifter.ref().toString(), LifterWork.items(known), who);
    return "redirect:/jobs/" + job + "?back=/lifters/" + id + "/runway";
  }
}
