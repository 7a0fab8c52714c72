package org.yarbel.web.board;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.card.Caution;
import org.yarbel.core.watch.Checks;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.watch.WeekWatch;
import org.yarbel.web.who.SignedIn;

/** The whole week on the board: its sums and findings, undo and redo, and checks that are silenced. */
@Controller
class WeekController {

  private final BoardService board;
  private final PlanReader plans;
  private final Undo undo;
  private final WeekWatch watch;
  private final Lifts lifts;

  WeekController(BoardService board, PlanReader plans, Undo undo, WeekWatch watch, Lifts lifts) {
    this.board = board;
    this.plans = plans;
    this.undo = undo;
    this.watch = watch;
    this.lifts = lifts;
  }

  /** The sums and findings drawn anew after a change. */
  @GetMapping("/lifters/{id}/week/panel")
  String panel(@PathVariable long id, @RequestParam LocalDate of, Model model) {
    model.addAttribute("fresh", board.panel(id, of));
    return "board/panel :: anew";
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

  /** Silences a check or a caution for a lifter; the reason stays on record. */
  @PostMapping("/lifters/{id}/silences")
  String silence(@PathVariable long id, @RequestParam String check, @RequestParam(defaultValue = "") String lift,
      @RequestParam(defaultValue = "") String reason,
      @RequestParam(required = false) @Nullable LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = plans.lifter(id);
    boolean known = Checks.ofKey(check).isPresent() || Caution.Kind.ofCode(check).isPresent();
    if (!known || !lift.isEmpty() && lifts.catalogue().ofKey(lift).isEmpty()) {
      throw new NotFound();
    }
    String why = reason.strip();
    if (why.isEmpty() || why.length() > 300) {
      flash.addFlashAttribute("said", "It still speaks: write in 1 to 300 characters why it should not.");
    } else {
      watch.silence(lifter.id(), check, lift, why, who);
      flash.addFlashAttribute("said", "Silenced for this lifter. The reason stands on record below the week.");
    }
    return week(id, of);
  }

  /** Lets a silenced check speak again. */
  @PostMapping("/silences/{id}/end")
  String speak(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, RedirectAttributes flash) {
    long lifterId = watch.speak(id);
    flash.addFlashAttribute("said", "It speaks again.");
    return week(lifterId, of);
  }
}
