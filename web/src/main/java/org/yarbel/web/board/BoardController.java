package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.core.lift.Lift;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotKind;

/** The Week board: its page, and the pieces of it that htmx asks for. Both come from the same templates. */
@Controller
class BoardController {
  private final BoardService board;
  private final PlanService plan;
  private final Lifts lifts;

  BoardController(BoardService board, PlanService plan, Lifts lifts) {
    this.board = board;
    this.plan = plan;
    this.lifts = lifts;
  }

  /** What was typed of a line. */
  record LineForm(@Nullable String kind, @Nullable String lift, @Nullable String work, @Nullable Integer version) {
    SlotKind slotKind() {
      for (SlotKind known : SlotKind.values()) {
        if (known.name().equals(kind)) {
          return known;
        }
      }
      return SlotKind.MAIN;
    }

    String typedLift() {
      return lift == null ? "" : lift.strip();
    }

    String typed() {
      return work == null ? "" : work;
    }
  }

  @ModelAttribute
  void choices(Model model) {
    model.addAttribute("kinds", SlotKind.values());
    model.addAttribute("lifts", lifts.offered());
  }

  @GetMapping("/lifters/{id}/week")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    model.addAttribute("board", board.week(id, of));
    return "board/page";
  }

  /** What the line in the field comes to, while it is typed. */
  @PostMapping("/lifters/{id}/week/line")
  String line(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate day, @ModelAttribute LineForm form,
      Model model) {
    model.addAttribute("line", line(id, day, form));
    return "board/line :: line";
  }

  @PostMapping("/lifters/{id}/days/{day}/slots")
  ModelAndView add(@PathVariable long id, @PathVariable LocalDate day, @ModelAttribute LineForm form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    LineView line = line(id, day, form);
    if (line.wrong()) {
      return day(id, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT, Map.of("typed", form, "typedLine", line));
    }
    PlanService.Outcome outcome = plan.add(board.lifter(id), day, form.slotKind(), lift(form).orElseThrow(), form.typed(), who);
    if (outcome instanceof PlanService.Outcome.Full) {
      return day(id, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT,
          Map.of("typed", form, "typedLine", line, "said", "Not added: a session has at most 40 lines."));
    }
    return day(id, day, htmx, response, HttpStatus.OK, Map.of("added", true));
  }

  @PostMapping("/slots/{id}")
  ModelAndView write(@PathVariable long id, @ModelAttribute LineForm form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    Slot stored = board.stored(id);
    LineView line = line(board.lifterOf(stored).id(), board.dayOf(stored), form);
    if (line.wrong()) {
      return row(refusing(board.slot(stored), form, line, "Not saved yet: the line cannot be read."), htmx, response, HttpStatus.UNPROCESSABLE_CONTENT);
    }
    try {
      PlanService.Outcome outcome = plan.write(id, form.version() == null ? -1 : form.version(), form.slotKind(),
          lift(form).orElseThrow(), form.typed(), who);
      if (outcome instanceof PlanService.Outcome.Done done) {
        return row(board.slot(done.slot()).noting("Saved."), htmx, response, HttpStatus.OK);
      }
      if (outcome instanceof PlanService.Outcome.Same same) {
        return row(board.slot(same.slot()).noting("Saved."), htmx, response, HttpStatus.OK);
      }
      if (outcome instanceof PlanService.Outcome.Begun begun) {
        return row(refusing(board.slot(begun.now()), form, line,
            "Not saved: sets of this line are logged, and only what lies ahead can change. It stays: " + begun.now().work()),
            htmx, response, HttpStatus.CONFLICT);
      }
    } catch (OptimisticLockingFailureException meanwhile) {
      // answered below like any other change meanwhile
    }
    BoardView.SlotView now = board.slot(board.stored(id));
    return row(refusing(now, form, line, "Not saved: meanwhile this line was changed to " + now.stored()
        + ". Yours is still in the field; save again to replace it."), htmx, response, HttpStatus.CONFLICT);
  }

  @PostMapping("/slots/{id}/remove")
  ModelAndView remove(@PathVariable long id, @RequestParam(defaultValue = "-1") int version,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = board.stored(id);
    LocalDate day = board.dayOf(slot);
    long lifterId = board.lifterOf(slot).id();
    PlanService.Outcome outcome = plan.remove(id, version, who);
    if (outcome instanceof PlanService.Outcome.Done done) {
      return day(lifterId, day, htmx, response, HttpStatus.OK,
          Map.of("undo", done.changeId(), "said", "Taken out: " + lifts.catalogue().ofKey(slot.lift()).map(Lift::name).orElse(slot.lift()) + " " + slot.work()));
    }
    String why = outcome instanceof PlanService.Outcome.Begun
        ? "It stays: sets of this line are logged, and only what lies ahead can change."
        : "It stays: meanwhile this line was changed. Look at it again.";
    return day(lifterId, day, htmx, response, HttpStatus.CONFLICT, Map.of("said", why));
  }

  @PostMapping("/changes/{id}/undo")
  String undo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    long lifterId = plan.lifterOf(id);
    flash.addFlashAttribute("said", plan.undo(id, who));
    return "redirect:/lifters/" + lifterId + "/week" + (of == null ? "" : "?of=" + of);
  }

  private Optional<Lift> lift(LineForm form) {
    return lifts.catalogue().named(form.typedLift());
  }

  private LineView line(long lifterId, @Nullable LocalDate day, LineForm form) {
    return lift(form).map(lift -> board.line(lifterId, day, lift, form.typed()))
        .orElseGet(() -> LineView.ofNoLift(lifts.catalogue().unknown(form.typedLift())));
  }

  /** Moves a day to another place; the empty choice is the usual one. */
  @PostMapping("/lifters/{id}/days/{day}/place")
  ModelAndView place(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(defaultValue = "") String place,
      HtmxRequest htmx, HttpServletResponse response) {
    BoardView.DayView shown = board.day(id, day);
    Long chosen = shown.places().stream().filter(p -> Long.toString(p.id()).equals(place) && !p.usual())
        .map(BoardView.PlaceView::id).findFirst().orElse(null);
    plan.moveTo(board.lifter(id), day, chosen);
    return day(id, day, htmx, response, HttpStatus.OK, Map.of());
  }

  private static BoardView.SlotView refusing(BoardView.SlotView shown, LineForm form, LineView line, String why) {
    return shown.refusing(form.slotKind().name(), form.typedLift(), form.typed(), line, why);
  }

  /** The day alone for htmx, else the whole week it is in. */
  private ModelAndView day(long lifterId, LocalDate day, HtmxRequest htmx, HttpServletResponse response,
      HttpStatus status, Map<String, ?> more) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Map<String, Object> model = new HashMap<>(more);
    model.put("touched", day.toString());
    ModelAndView answer;
    if (htmx.isHtmxRequest()) {
      model.put("day", board.day(lifterId, day));
      answer = new ModelAndView("board/day :: day", model);
    } else {
      model.put("board", board.week(lifterId, day));
      answer = new ModelAndView("board/page", model);
    }
    answer.setStatus(status);
    return answer;
  }

  /** The line alone for htmx, else the week with it. */
  private ModelAndView row(BoardView.SlotView slot, HtmxRequest htmx, HttpServletResponse response, HttpStatus status) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    ModelAndView answer;
    if (htmx.isHtmxRequest()) {
      answer = new ModelAndView("board/day :: slot", Map.of("slot", slot));
    } else {
      BoardView week = board.week(slot.lifterId(), board.dayOf(board.stored(slot.id())));
      answer = new ModelAndView("board/page", Map.of("board", week, "typedSlot", slot));
    }
    answer.setStatus(status);
    return answer;
  }
}
