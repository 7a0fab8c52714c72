package org.yarbel.web.call;

import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.call.Picture;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** What moved the loads of a lift, event by event, and how much of it moves by itself. */
@Controller
class MovesController {
  private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int SHOWN = 60;

  private final MovesService moves;
  private final ClubClock clock;

  MovesController(MovesService moves, ClubClock clock) {
    this.moves = moves;
    this.clock = clock;
  }

  /** A lift to choose. */
  record LiftChoice(String key, String name, boolean open) {}

  /** An event: what happened, who did it, and what it made of the next load. */
  record MoveView(String when, String what, String who, String day, String before, String after, String by, String lines) {
    static MoveView of(LoadMoves.Moved moved, MassUnit unit, ClubClock clock) {
      Mass before = Mass.ofNanograms(moved.beforeNg(), unit);
      Mass after = Mass.ofNanograms(moved.afterNg(), unit);
      double by = 100 * (after.ratioTo(before) - 1);
      return new MoveView(WHEN.format(clock.local(moved.at())), moved.words().isEmpty() ? cause(moved.cause()) : moved.words(), moved.who(),
          DAY.format(moved.day()), before.number(), after.number(), (by < 0 ? "−" : "+") + Math.rint(10 * Math.abs(by)) / 10 + " %",
          Count.of(moved.lines(), "line"));
    }

    private static String cause(String cause) {
      return switch (cause) {
        case "plan" -> "the plan was edited";
        case "log" -> "a set was logged";
        case "check-in" -> "a check-in";
        case "day" -> "a day went by";
        default -> cause;
      };
    }
  }

  /** How loads move, to choose. */
  record HowView(String key, String word, boolean chosen) {}

  @GetMapping("/lifters/{id}/moves")
  String page(@PathVariable long id, @RequestParam(defaultValue = "") String lift, Model model) {
    MovesService.LiftMoves found = moves.of(id, lift);
    Lifter lifter = found.lifter();
    @Nullable LiftNumbers own = found.own();
    model.addAttribute("lifter", lifter.name());
    model.addAttribute("lifterId", id);
    model.addAttribute("unit", lifter.unit().symbol());
    model.addAttribute("lifts", found.lifts().stream().map(one -> new LiftChoice(one.key(), one.name(), one.key().equals(found.key())))
        .toList());
    model.addAttribute("lift", found.key());
    model.addAttribute("liftName", found.name());
    model.addAttribute("moves", found.moves().stream().map(moved -> MoveView.of(moved, lifter.unit(), clock)).toList());
    model.addAttribute("hows", own == null ? List.of() : Arrays.stream(Picture.Moves.values())
        .map(how -> new HowView(how.name(), how.word(),
        how == own.moves())).toList());
    Mass agreed = own == null ? null : own.agreed(lifter.unit());
    model.addAttribute("agreed", agreed == null ? null : agreed.amountIn(lifter.unit(), 1).toPlainString());
    return "call/moves";
  }

  /** How many events are shown. */
  static int shown() {
    return SHOWN;
  }

  @PostMapping("/lifters/{id}/moves")
  String how(@PathVariable long id, @RequestParam String lift, @RequestParam String how, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    Picture.Moves chosen = Arrays.stream(Picture.Moves.values()).filter(one -> one.name().equals(how)).findFirst()
        .orElseThrow(NotFound::new);
    flash.addFlashAttribute("said", moves.let(id, lift, chosen, who));
    return "redirect:/lifters/" + id + "/moves?lift=" + lift;
  }
}
