package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.who.SignedIn;

/** Easy weeks: one made, moved or taken out on the board, and the rule that places them. */
@Controller
class EasyController {
  private final LifterMethods methods;
  private final Easy easy;

  EasyController(LifterMethods methods, Easy easy) {
    this.methods = methods;
    this.easy = easy;
  }

  /** Makes a week easy, moves an easy week, or takes it out. */
  @PostMapping("/lifters/{id}/deloads")
  String place(@PathVariable long id, @RequestParam LocalDate monday, @RequestParam(defaultValue = "") String kind,
      @RequestParam(required = false) @Nullable Integer move, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    LocalDate of = Macrocycle.monday(monday);
    if (move == null) {
      flash.addFlashAttribute("said", easy.place(methods.lifter(id), of, kind(kind), who));
      return MethodsController.board(id, of);
    }
    flash.addFlashAttribute("said", easy.move(methods.lifter(id), of, Integer.signum(move), who));
    return MethodsController.board(id, of.plusWeeks(Integer.signum(move)));
  }

  /** Sets after how many weeks an easy one comes. */
  @PostMapping("/lifters/{id}/deloads/rule")
  String rule(@PathVariable long id, @RequestParam(defaultValue = "") String every, @RequestParam(defaultValue = "") String kind,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    String typed = every.strip();
    if (!typed.isEmpty() && !typed.matches("[2-9]|1[0-6]")) {
      flash.addFlashAttribute("said", "Not set: the weeks between deloads must be from 2 to 16, or empty for none, but were '"
          + typed + "'.");
    } else {
      flash.addFlashAttribute("said", easy.rule(methods.lifter(id), typed.isEmpty() ? null : Integer.valueOf(typed), kind(kind), who));
    }
    return MethodsController.back(id);
  }

  private static Deload kind(String name) {
    return Arrays.stream(Deload.values()).filter(kind -> kind.name().equals(name)).findFirst().orElse(Deload.HALF_LOAD);
  }
}
