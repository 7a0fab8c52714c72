package org.yarbel.web.runway;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Editing;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The blocks of a long plan: the buttons of each, and its form. */
@Controller
class BlockController {
  private static final int USES = 12;
  private static final int MOST_WEEKS = 26;

  private final Runways runways;
  private final RunwayPage page;
  private final LongPlans plans;
  private final LifterRepository lifters;
  private final Lifts lifts;

  BlockController(Runways runways, RunwayPage page, LongPlans plans, LifterRepository lifters, Lifts lifts) {
    this.runways = runways;
    this.page = page;
    this.plans = plans;
    this.lifters = lifters;
    this.lifts = lifts;
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
      case "split" -> editing -> editing.split(no, whole(typed, "first").orElse(0));
      case "insert" -> {
        Purpose purpose = typed.choice("purpose", Purpose.class).orElse(Purpose.STRENGTH);
        int weeks = whole(typed, "weeks").filter(count -> count >= 1 && count <= MOST_WEEKS).orElse(purpose.least());
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
    return RunwayController.back(id) + (stays ? "?block=" + no : "");
  }

  private void apply(long id, Function<Editing, Refit> what, SignedIn who, RedirectAttributes flash) {
    try {
      Runways.Edited edited = runways.edit(lifter(id), what, who);
      RunwayController.said(flash, edited.change().isEmpty() ? "Nothing had to change." : "Changed.", edited.refit().changes(),
          edited.change());
    } catch (Refused refused) {
      flash.addFlashAttribute("said", "Not changed. " + refused.sentence());
    }
  }

  @PostMapping("/lifters/{id}/runway/blocks/{no}")
  ModelAndView save(@PathVariable long id, @PathVariable int no, @RequestParam Map<String, String> all, @RequestParam MultiValueMap<String,
      String> every, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = lifter(id);
    Block stored = plans.of(id).flatMap(kept -> kept.plan().block(no)).orElseThrow(NotFound::new).block();
    RunwayForms.BlockRead read = RunwayForms.read(stored, new Typed(all), days(every), lifts.catalogue());
    if (read.block().isEmpty()) {
      ExtendedModelMap model = new ExtendedModelMap();
      page.fill(model, lifter, RunwayPage.RunwayAsked.NOTHING);
      model.addAttribute("form", read.form());
      return new ModelAndView("runway/page", model, HttpStatus.UNPROCESSABLE_CONTENT);
    }
    apply(id, editing -> editing.change(read.block().get()), who, flash);
    return new ModelAndView(RunwayController.back(id) + "?block=" + no);
  }

  private static Optional<Integer> whole(Typed typed, String field) {
    return typed.text(field).matches("\\d{1,2}") ? Optional.of(Integer.valueOf(typed.text(field))) : Optional.empty();
  }

  /** The days that are ticked, for each method of a block. */
  private static Map<Integer, Set<DayOfWeek>> days(MultiValueMap<String, String> every) {
    Map<Integer, Set<DayOfWeek>> days = new HashMap<>();
    for (int at = 0; at < USES; at++) {
      Set<DayOfWeek> on = EnumSet.noneOf(DayOfWeek.class);
      List<String> ticked = every.getOrDefault("days-" + at, List.of());
      EnumSet.allOf(DayOfWeek.class).stream().filter(day -> ticked.contains(day.name())).forEach(on::add);
      days.put(at, on);
    }
    return days;
  }

  private Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }
}
