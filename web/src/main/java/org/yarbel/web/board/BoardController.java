package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
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
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.line.LineView;
import org.yarbel.web.line.Previews;
import org.yarbel.web.once.WritesNothing;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.who.SignedIn;

/** The Week board: its page, and the pieces of it that htmx asks for. Both come from the same templates. */
@Controller
class BoardController {
  private final BoardService board;
  private final PlanReader plans;
  private final Previews previews;
  private final PlanService plan;
  private final Undo undo;
  private final Lifts lifts;
  private final BoardAnswers answers;

  BoardController(BoardService board, PlanReader plans, Previews previews, PlanService plan, Undo undo, Lifts lifts, BoardAnswers answers) {
    this.board = board;
    this.plans = plans;
    this.previews = previews;
    this.plan = plan;
    this.undo = undo;
    this.lifts = lifts;
    this.answers = answers;
  }

  /** What was typed of a line. */
  record LineForm(@Nullable String kind, @Nullable String lift, @Nullable String work, @Nullable Integer version) {
    public SlotKind slotKind() {
      return SlotKind.of(kind).orElse(SlotKind.MAIN);
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
    model.addAllAttributes(answers.choices());
  }

  @GetMapping("/lifters/{id}/week")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, Model model) {
    model.addAttribute("board", board.week(id, of));
    return "board/page";
  }

  /** What the line in the field comes to, while it is typed. */
  @WritesNothing
  @PostMapping("/lifters/{id}/week/line")
  String line(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate day,
      @RequestParam(required = false) @Nullable Long slot, @RequestParam(required = false) @Nullable Integer caret,
      @ModelAttribute LineForm form, Model model) {
    LineView line = line(id, day, slot, form, null);
    model.addAttribute("line", caret == null ? line : line.typing(form.typed(), caret));
    return "board/line :: line";
  }

  @PostMapping("/lifters/{id}/days/{day}/slots")
  ModelAndView add(@PathVariable long id, @PathVariable LocalDate day, @ModelAttribute LineForm form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    LineView line = line(id, day, null, form, null);
    if (line.wrong()) {
      return answers.day(id, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT, Map.of("typed", form, "typedLine", line));
    }
    PlanService.EditOutcome outcome = plan.add(plans.lifter(id), day,
        PlanService.TypedWork.of(form.slotKind(), lift(form).orElseThrow(), form.typed()), who);
    if (outcome instanceof PlanService.EditOutcome.Full) {
      return answers.day(id, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT,
          Map.of("typed", form, "typedLine", line, "said", "Not added: a session has at most 40 lines."));
    }
    return answers.day(id, day, htmx, response, HttpStatus.OK, Map.of("added", true));
  }

  @PostMapping("/slots/{id}")
  ModelAndView write(@PathVariable long id, @ModelAttribute LineForm form, @ModelAttribute DetailsForm beside,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot stored = plans.stored(id);
    Lifter lifter = plans.lifterOf(stored);
    DetailsForm.CheckedDetails checked = beside.present() ? beside.check(lifter.unit())
        : new DetailsForm.CheckedDetails(Optional.of(stored.details()), Map.of());
    TypedLine typed = new TypedLine(form, beside, line(lifter.id(), plans.dayOf(stored), id, form, checked.details().orElse(null)),
        checked.errors());
    if (typed.line().wrong() || checked.details().isEmpty()) {
      String why = typed.line().wrong() ? "Not saved yet: the line cannot be read." : "Not saved yet: see below.";
      return answers.row(typed.refused(board.slot(stored), why), htmx, response, HttpStatus.UNPROCESSABLE_CONTENT);
    }
    try {
      PlanService.EditOutcome outcome = plan.write(id, form.version() == null ? -1 : form.version(),
          new PlanService.TypedWork(form.slotKind(), lift(form).orElseThrow(), form.typed(), checked.details().get()), who);
      if (outcome instanceof PlanService.EditOutcome.Done done) {
        return answers.row(board.slot(done.slot()).noting("Saved."), htmx, response, HttpStatus.OK);
      }
      if (outcome instanceof PlanService.EditOutcome.Same same) {
        return answers.row(board.slot(same.slot()).noting("Saved."), htmx, response, HttpStatus.OK);
      }
      if (outcome instanceof PlanService.EditOutcome.Begun begun) {
        return answers.row(typed.refused(board.slot(begun.now()),
            "Not saved: sets of this line are logged, and only what lies ahead can change. It stays: " + begun.now().work()),
            htmx, response, HttpStatus.CONFLICT);
      }
    } catch (OptimisticLockingFailureException meanwhile) {
      // answered below like any other change meanwhile
    }
    BoardView.SlotView now = board.slot(plans.stored(id));
    return answers.row(typed.refused(now, "Not saved: meanwhile this line was changed to " + now.stored()
        + ". Yours is still in the field; save again to replace it."), htmx, response, HttpStatus.CONFLICT);
  }

  /** Where a line is added to a day, and the day copied or taken out, when that is opened. */
  @GetMapping("/lifters/{id}/days/{day}/add")
  String adding(@PathVariable long id, @PathVariable LocalDate day, Model model) {
    model.addAttribute("day", board.day(id, day));
    return "board/add :: forms";
  }

  /** The lifts that are offered, for the fields that propose them. */
  @GetMapping("/lifts/names")
  String lifts() {
    return "board/lifts :: names";
  }

  /** What is said beside a line, when it is opened. */
  @GetMapping("/slots/{id}/about")
  String about(@PathVariable long id, Model model) {
    model.addAttribute("slot", board.slot(plans.stored(id)));
    return "board/about :: fields";
  }

  /** What was typed of a stored line, and what it comes to. */
  private record TypedLine(LineForm form, DetailsForm beside, LineView line, Map<String, String> errors) {
    BoardView.SlotView refused(BoardView.SlotView shown, String why) {
      return shown.refusing(form.slotKind().name(), form.typedLift(), form.typed(), beside, line, why, errors);
    }
  }

  @PostMapping("/slots/{id}/remove")
  ModelAndView remove(@PathVariable long id, @RequestParam(defaultValue = "-1") int version,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    LocalDate day = plans.dayOf(slot);
    long lifterId = plans.lifterOf(slot).id();
    PlanService.EditOutcome outcome = plan.remove(id, version, who);
    if (outcome instanceof PlanService.EditOutcome.Done done) {
      return answers.day(lifterId, day, htmx, response, HttpStatus.OK,
          Map.of("undo", done.changeId(), "said", "Taken out: " + lifts.catalogue().ofKey(slot.lift()).map(Lift::name)
              .orElse(slot.lift()) + " " + slot.work()));
    }
    String why = outcome instanceof PlanService.EditOutcome.Begun
        ? "It stays: sets of this line are logged, and only what lies ahead can change."
        : "It stays: meanwhile this line was changed. Look at it again.";
    return answers.day(lifterId, day, htmx, response, HttpStatus.CONFLICT, Map.of("said", why));
  }

  @PostMapping("/changes/{id}/undo")
  String undo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, RedirectAttributes flash) {
    long lifterId = undo.lifterOf(id);
    flash.addFlashAttribute("said", undo.change(id));
    return "redirect:/lifters/" + lifterId + "/week" + (of == null ? "" : "?of=" + of);
  }

  private Optional<Lift> lift(LineForm form) {
    return lifts.catalogue().named(form.typedLift());
  }

  private LineView line(long lifterId, @Nullable LocalDate day, @Nullable Long slot, LineForm form, @Nullable Details beside) {
    return lift(form).map(lift -> previews.line(new Previews.PreviewPlace(lifterId, day, slot), lift, form.typed(), beside))
        .orElseGet(() -> LineView.ofNoLift(lifts.catalogue().unknown(form.typedLift())));
  }

  /** Moves a day to another place; the empty choice is the usual one. */
  @PostMapping("/lifters/{id}/days/{day}/place")
  ModelAndView place(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(defaultValue = "") String place,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    BoardView.DayView shown = board.day(id, day);
    Long chosen = shown.places().stream().filter(p -> Long.toString(p.id()).equals(place) && !p.usual())
        .map(BoardView.PlaceView::id).findFirst().orElse(null);
    plan.moveTo(plans.lifter(id), day, chosen, who);
    return answers.day(id, day, htmx, response, HttpStatus.OK, Map.of());
  }
}
