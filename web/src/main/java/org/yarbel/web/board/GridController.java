package org.yarbel.web.board;

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
import org.yarbel.core.mass.Count;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.program.Programs;

/** Several weeks side by side, and the spreadsheet. */
@Controller
class GridController {
  private static final int WEEKS = 4;

  private final BoardService board;
  private final GridService grids;
  private final PlanService plan;
  private final Batches batches;
  private final Lifts lifts;
  private final ClubClock clock;

  GridController(BoardService board, GridService grids, PlanService plan, Batches batches, Lifts lifts, ClubClock clock) {
    this.board = board;
    this.grids = grids;
    this.plan = plan;
    this.batches = batches;
    this.lifts = lifts;
    this.clock = clock;
  }

  @GetMapping("/lifters/{id}/weeks")
  String weeks(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    Lifter lifter = board.lifter(id);
    LocalDate monday = Programs.monday(of == null ? clock.today() : of);
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("grid", grids.weeks(lifter, monday, WEEKS));
    model.addAttribute("of", monday.toString());
    model.addAttribute("before", monday.minusWeeks(1).toString());
    model.addAttribute("after", monday.plusWeeks(1).toString());
    return "board/weeks";
  }

  /** Writes the line of a cell and answers with the cell. */
  @PostMapping("/slots/{id}/cell")
  ModelAndView cell(@PathVariable long id, @RequestParam(defaultValue = "") String work, @RequestParam(defaultValue = "-1") int version,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader("Vary", "HX-Request");
    Slot slot = board.stored(id);
    Lift lift = lifts.catalogue().ofKey(slot.lift()).orElseThrow();
    LineView typed = board.line(board.lifterOf(slot).id(), board.dayOf(slot), id, lift, work, null);
    if (typed.wrong()) {
      return answer(cell(slot, lift, typed).saying("Not saved yet.", work, typed.problems()), HttpStatus.UNPROCESSABLE_CONTENT);
    }
    try {
      PlanService.Outcome outcome = plan.write(id, version, PlanService.Typed.of(slot.kind(), lift, work), who);
      if (outcome instanceof PlanService.Outcome.Done || outcome instanceof PlanService.Outcome.Same) {
        return answer(cell(board.stored(id), lift, typed).saying("Saved.", board.stored(id).work(), List.of()), HttpStatus.OK);
      }
      if (outcome instanceof PlanService.Outcome.Begun begun) {
        return answer(cell(begun.now(), lift, typed).saying(null, work, List.of("Sets of it are logged: it stays " + begun.now()
            .work() + ".")), HttpStatus.CONFLICT);
      }
    } catch (OptimisticLockingFailureException meanwhile) {
      // answered below like any other change meanwhile
    }
    Slot now = board.stored(id);
    return answer(cell(now, lift, typed).saying(null, work, List.of("Meanwhile it was changed to " + now.work()
        + ". Yours is still here; save again to replace it.")), HttpStatus.CONFLICT);
  }

  private static Grid.Cell cell(Slot slot, Lift lift, LineView view) {
    return Grid.Cell.of(slot, lift.name(), view, false);
  }

  private static ModelAndView answer(Grid.Cell cell, HttpStatus status) {
    return new ModelAndView("board/cells :: cell", Map.of("cell", cell), status);
  }

  /** Fills a line down the weeks shown. */
  @PostMapping("/slots/{id}/across")
  String across(@PathVariable long id, @RequestParam LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Slot slot = board.stored(id);
    long weeks = ChronoUnit.WEEKS.between(Programs.monday(board.dayOf(slot)), Programs.monday(of).plusWeeks(WEEKS - 1L));
    flash.addFlashAttribute("said", weeks < 1 ? "It stands in the last week shown." : batches.fillDown(slot, (int) Math.min(weeks, WEEKS), who));
    return "redirect:/lifters/" + board.lifterOf(slot).id() + "/weeks?of=" + of;
  }

  @GetMapping("/lifters/{id}/sheet")
  String sheet(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    show(model, board.lifter(id), Programs.monday(of == null ? clock.today() : of), "", List.of(), false);
    return "board/sheet";
  }

  private void show(Model model, Lifter lifter, LocalDate monday, String typed, List<String> problems, boolean replace) {
    BoardView week = board.week(lifter.id(), monday);
    model.addAttribute("lifterId", lifter.id());
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("of", monday.toString());
    model.addAttribute("week", week.week());
    model.addAttribute("table", Sheet.write(week));
    model.addAttribute("stamp", Sheet.stamp(week));
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
    Lifter lifter = board.lifter(id);
    LocalDate monday = Programs.monday(of);
    Sheet.Read read = Sheet.read(rows, monday, lifts.catalogue());
    if (!read.problems().isEmpty()) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      show(model, lifter, monday, rows, read.problems(), !replace.isEmpty());
      return "board/sheet";
    }
    if (!replace.isEmpty() && !stamp.equals(Sheet.stamp(board.week(id, monday)))) {
      response.setStatus(HttpStatus.CONFLICT.value());
      show(model, lifter, monday, rows,
          List.of("Meanwhile somebody changed this week: look at it above, then take the rows again. Yours are still below."), true);
      return "board/sheet";
    }
    int written = (replace.isEmpty() ? batches.add(lifter, read.lines(), who) : batches.replace(lifter, read.lines(), who)).lines();
    flash.addFlashAttribute("said", Count.of(written, "line") + " taken from the table."
        + (written < read.lines().size() ? " " + (read.lines().size() - written) + " did not fit: a day has at most 40 lines." : ""));
    return WeekController.week(id, monday);
  }
}
