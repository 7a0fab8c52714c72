package org.yarbel.web.grid;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Weeks;
import org.yarbel.web.who.SignedIn;

/** A week as rows of a spreadsheet, to copy and to take back. */
@Controller
class SheetController {
  private final PlanReader plans;
  private final GridService grids;
  private final Batches batches;
  private final Lifts lifts;
  private final ClubClock clock;

  SheetController(PlanReader plans, GridService grids, Batches batches, Lifts lifts, ClubClock clock) {
    this.plans = plans;
    this.grids = grids;
    this.batches = batches;
    this.lifts = lifts;
    this.clock = clock;
  }

  @GetMapping("/lifters/{id}/sheet")
  String sheet(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    show(model, plans.lifter(id), Macrocycle.monday(of == null ? clock.today() : of), "", List.of(), false);
    return "grid/sheet";
  }

  private void show(Model model, Lifter lifter, LocalDate monday, String typed, List<String> problems, boolean replace) {
    List<Grid.PlacedCell> lines = grids.week(lifter, monday);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("of", monday.toString());
    model.addAttribute("week", Weeks.label(monday));
    model.addAttribute("table", Sheet.write(lines));
    model.addAttribute("stamp", Sheet.stamp(lines));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    model.addAttribute("replace", replace);
  }

  /** Takes rows from a spreadsheet; nothing is written while a row cannot be read. */
  @PostMapping("/lifters/{id}/sheet")
  String paste(@PathVariable long id, @RequestParam LocalDate of, @RequestParam(defaultValue = "") String rows,
      @RequestParam(defaultValue = "") String replace,
      @RequestParam(defaultValue = "") String stamp, @AuthenticationPrincipal SignedIn who, Model model, RedirectAttributes flash,
          HttpServletResponse response) {
    Lifter lifter = plans.lifter(id);
    LocalDate monday = Macrocycle.monday(of);
    Sheet.SheetRead read = Sheet.read(rows, monday, lifts.catalogue());
    if (!read.problems().isEmpty()) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      show(model, lifter, monday, rows, read.problems(), !replace.isEmpty());
      return "grid/sheet";
    }
    if (!replace.isEmpty() && !stamp.equals(Sheet.stamp(grids.week(lifter, monday)))) {
      response.setStatus(HttpStatus.CONFLICT.value());
      show(model, lifter, monday, rows,
          List.of("Meanwhile somebody changed this week: look at it above, then take the rows again. Yours are still below."), true);
      return "grid/sheet";
    }
    int written = (replace.isEmpty() ? batches.add(lifter, read.lines(), who) : batches.replace(lifter, read.lines(), who)).lines();
    flash.addFlashAttribute("said", Count.of(written, "line") + " taken from the table."
        + (written < read.lines().size() ? " " + (read.lines().size() - written) + " did not fit: a day has at most 40 lines." : ""));
    return "redirect:/lifters/" + id + "/week?of=" + monday;
  }
}
