package org.yarbel.web.grid;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.line.LineView;
import org.yarbel.web.line.Previews;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.who.SignedIn;

/** Several weeks side by side, and the spreadsheet. */
@Controller
class GridController {
  private static final int WEEKS = 4;

  private final PlanReader plans;
  private final Previews previews;
  private final GridService grids;
  private final PlanService plan;
  private final Batches batches;
  private final Lifts lifts;
  private final ClubClock clock;

  GridController(PlanReader plans, Previews previews, GridService grids, PlanService plan, Batches batches, Lifts lifts, ClubClock clock) {
    this.plans = plans;
    this.previews = previews;
    this.grids = grids;
    this.plan = plan;
    this.batches = batches;
    this.lifts = lifts;
    this.clock = clock;
  }

  @GetMapping("/lifters/{id}/weeks")
  String weeks(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    Lifter lifter = plans.lifter(id);
    LocalDate monday = Macrocycle.monday(of == null ? clock.today() : of);
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("grid", grids.weeks(lifter, monday, WEEKS));
    model.addAttribute("of", monday.toString());
    model.addAttribute("before", monday.minusWeeks(1).toString());
    model.addAttribute("after", monday.plusWeeks(1).toString());
    return "grid/weeks";
  }

  /** Writes the line of a cell and answers with the cell. */
  @PostMapping("/slots/{id}/cell")
  ModelAndView cell(@PathVariable long id, @RequestParam(defaultValue = "") String work, @RequestParam(defaultValue = "-1") int version,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader("Vary", "HX-Request");
    Slot slot = plans.stored(id);
    Lift lift = lifts.catalogue().ofKey(slot.lift()).orElseThrow();
    LineView typed = previews.line(new Previews.PreviewPlace(plans.lifterOf(slot).id(), plans.dayOf(slot), id), lift, work, null);
    if (typed.wrong()) {
      return answer(cell(slot, lift, typed).saying("Not saved yet.", work, typed.problems()), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    try {
      PlanService.EditOutcome outcome = plan.write(id, version, PlanService.TypedWork.of(slot.kind(), lift, work), who);
      if (outcome instanceof PlanService.EditOutcome.Done || outcome instanceof PlanService.EditOutcome.Same) {
        return answer(cell(plans.stored(id), lift, typed).saying("Saved.", plans.stored(id).work(), List.of()), HttpStatus.OK);
      }
      if (outcome instanceof PlanService.EditOutcome.Begun begun) {
        return answer(cell(begun.now(), lift, typed).saying(null, work, List.of("Sets of it are logged: it stays " + begun.now()
            .work() + ".")), HttpStatus.CONFLICT);
      }
    } catch (OptimisticLockingFailureException meanwhile) {
      // answered below like any other change meanwhile
    }
    Slot now = plans.stored(id);
    return answer(cell(now, lift, typed).saying(null, work, List.of("Meanwhile it was changed to " + now.work()
        + ". Yours is still here; save again to replace it.")), HttpStatus.CONFLICT);
  }

  private static Grid.Cell cell(Slot slot, Lift lift, LineView view) {
    return Grid.Cell.of(slot, lift.name(), view, false);
  }

  private static ModelAndView answer(Grid.Cell cell, HttpStatus status) {
    return new ModelAndView("grid/cells :: cell", Map.of("cell", cell), status);
  }

  /** Fills a line down the weeks shown. */
  @PostMapping("/slots/{id}/across")
  String across(@PathVariable long id, @RequestParam LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Slot slot = plans.stored(id);
    long weeks = ChronoUnit.WEEKS.between(Macrocycle.monday(plans.dayOf(slot)), Macrocycle.monday(of).plusWeeks(WEEKS - 1L));
    flash.addFlashAttribute("said", weeks < 1 ? "It stands in the last week shown."
        : batches.fillDown(slot, (int) Math.min(weeks, WEEKS), who));
    return "redirect:/lifters/" + plans.lifterOf(slot).id() + "/weeks?of=" + of;
  }
}
