package org.yarbel.web.board;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.journal.Undo;

/** The whole week on the board: its sums and findings, undo and redo. */
@Controller
class WeekController {

  private final BoardService board;
  private final PlanReader plans;
  private final Undo undo;

  WeekController(BoardService board, PlanReader plans, Undo undo) {
    this.board = board;
    this.plans = plans;
    this.undo = undo;
  }

  /** The sums and findings drawn anew after a change. */
  @GetMapping("/lifters/{id}/week/panel")
  String panel(@PathVariable long id, @RequestParam LocalDate of, Model model) {
    model.addAttribute("fresh", board.panel(id, of));
    return "board/anew :: anew";
  }

  /** How each main lift dips and comes back, for who looks so far down. */
  @GetMapping("/lifters/{id}/week/recovery")
  String recovery(@PathVariable long id, @RequestParam LocalDate of, Model model) {
    model.addAttribute("recovery", board.recovery(id, of));
    return "board/recovery :: pictures";
  }

  @PostMapping("/lifters/{id}/week/undo")
  String undo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, @RequestParam(defaultValue = "1") int steps,
      RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.undo(plans.lifter(id).id(), steps));
    return week(id, of);
  }

  @PostMapping("/lifters/{id}/week/redo")
  String redo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.redo(plans.lifter(id).id()));
    return week(id, of);
  }

  static String week(long id, @Nullable LocalDate of) {
    return "redirect:/lifters/" + id + "/week" + (of == null ? "" : "?of=" + of);
  }
}
