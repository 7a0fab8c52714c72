package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
import org.yarbel.core.card.Caution;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.watch.Checks;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.watch.WeekWatch;

/** What is done with whole weeks on the board: sums and findings, undo and redo, copying, moving, filling down, silencing. */
@Controller
class WeekController {
  /** So far from today a line may be moved or copied. */
  private static final int MOST_YEARS = 2;

  private final BoardService board;
  private final PlanService plan;
  private final Batches batches;
  private final Undo undo;
  private final WeekWatch watch;
  private final BoardAnswers answers;
  private final Lifts lifts;
  private final ClubClock clock;

  WeekController(BoardService board, PlanService plan, Batches batches, Undo undo, WeekWatch watch, BoardAnswers answers, Lifts lifts,
      ClubClock clock) {
    this.clock = clock;
    this.board = board;
    this.plan = plan;
    this.batches = batches;
    this.undo = undo;
    this.watch = watch;
    this.answers = answers;
    this.lifts = lifts;
  }

  /** The sums and findings drawn anew after a change. */
  @GetMapping("/lifters/{id}/week/panel")
  String panel(@PathVariable long id, @RequestParam LocalDate of, Model model) {
    model.addAttribute("fresh", board.panel(id, of));
    return "board/panel :: anew";
  }

  @PostMapping("/lifters/{id}/week/undo")
  String undo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, @RequestParam(defaultValue = "1") int steps,
      RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.undo(board.lifter(id).id(), steps));
    return week(id, of);
  }

  @PostMapping("/lifters/{id}/week/redo")
  String redo(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, RedirectAttributes flash) {
    flash.addFlashAttribute("said", undo.redo(board.lifter(id).id()));
    return week(id, of);
  }

  static String week(long id, @Nullable LocalDate of) {
    return "redirect:/lifters/" + id + "/week" + (of == null ? "" : "?of=" + of);
  }

  /** Takes the text a check proposes for a line. */
  @PostMapping("/slots/{id}/mend")
  ModelAndView mend(@PathVariable long id, @RequestParam String work, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    Slot slot = board.stored(id);
    return written(slot, slot.lift(), work, "Mended: ", who, htmx, response);
  }

  /** The coach's word that a beginner does a line which is not for beginners. */
  @PostMapping("/slots/{id}/word")
  ModelAndView word(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = board.stored(id);
    LocalDate day = board.dayOf(slot);
    long lifterId = board.lifterOf(slot).id();
    Lift lift = lifts.catalogue().ofKey(slot.lift()).orElseThrow(NotFound::new);
    PlanService.Outcome outcome = plan.write(id, slot.version(),
        new PlanService.Typed(slot.kind(), lift, slot.work(), slot.details().withWord(true)), who);
    return outcome instanceof PlanService.Outcome.Done done
        ? answers.day(lifterId, day, htmx, response, HttpStatus.OK, Map.of("undo", done.changeId(), "said", "It opens on the card: " + lift.name() + " " + slot.work()))
        : answers.day(lifterId, day, htmx, response, HttpStatus.CONFLICT, Map.of("said", "It stays: the line was changed or begun meanwhile."));
  }

  /** Gives a line back to its method. */
  @PostMapping("/slots/{id}/as-written")
  ModelAndView asWritten(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = board.stored(id);
    return written(slot, slot.writtenLift().orElseThrow(NotFound::new), slot.writtenWork().orElseThrow(NotFound::new), "As the method writes it: ", who,
        htmx, response);
  }

  private ModelAndView written(Slot slot, String key, String work, String said, SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    LocalDate day = board.dayOf(slot);
    long lifterId = board.lifterOf(slot).id();
    Lift lift = lifts.catalogue().ofKey(key).orElseThrow(NotFound::new);
    if (board.line(lifterId, day, slot.id(), lift, work, null).wrong()) {
      return answers.day(lifterId, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT, Map.of("said",
          "It stays: that text cannot be worked out for this lifter any more."));
    }
    PlanService.Outcome outcome = plan.write(slot.id(), slot.version(), PlanService.Typed.of(slot.kind(), lift, work), who);
    if (outcome instanceof PlanService.Outcome.Done done) {
      return answers.day(lifterId, day, htmx, response, HttpStatus.OK, Map.of("undo", done.changeId(), "said", said + lift.name() + " " + work));
    }
    return answers.day(lifterId, day, htmx, response, HttpStatus.CONFLICT, Map.of("said", "It stays: the line was changed or begun meanwhile."));
  }

  /** Why a line cannot go to a day; empty when it can. */
  private Optional<String> wrong(@Nullable LocalDate to) {
    if (to == null) {
      return Optional.of("choose a day first.");
    }
    boolean near = to.isAfter(clock.today().minusYears(MOST_YEARS)) && to.isBefore(clock.today().plusYears(MOST_YEARS));
    return near ? Optional.empty() : Optional.of("choose a day within two years of today, not " + to + ".");
  }

  /** Takes the move a check proposes: lines of one day to another. */
  @PostMapping("/lifters/{id}/week/move")
  String moveAll(@PathVariable long id, @RequestParam List<Long> lines, @RequestParam LocalDate to, @RequestParam(required = false) @Nullable LocalDate of,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = board.lifter(id);
    if (lines.size() > Sessions.MOST_LINES) {
      throw new NotFound();
    }
    List<Slot> all = lines.stream().map(board::stored).toList();
    if (all.stream().anyMatch(slot -> board.lifterOf(slot).id() != lifter.id()) || all.stream().map(Slot::sessionId).distinct().count() > 1) {
      throw new NotFound();
    }
    flash.addFlashAttribute("said", wrong(to).map("Nothing moved: "::concat).orElseGet(() -> batches.moveAll(all, to, who)));
    return week(id, of == null ? to : of);
  }

  /** Moves or copies a line to another day. */
  @PostMapping("/slots/{id}/to")
  ModelAndView to(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate to, @RequestParam(defaultValue = "") String copy,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = board.stored(id);
    LocalDate day = board.dayOf(slot);
    String said = wrong(to).map("Nothing moved: "::concat).orElseGet(() -> copy.isEmpty() ? batches.move(slot, Objects.requireNonNull(to), who)
        : batches.copy(slot, Objects.requireNonNull(to), who));
    return days(board.lifterOf(slot).id(), day, said, htmx, response);
  }

  /** Copies a line to the same day of weeks to come. */
  @PostMapping("/slots/{id}/down")
  ModelAndView down(@PathVariable long id, @RequestParam(defaultValue = "") String weeks, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    Slot slot = board.stored(id);
    LocalDate day = board.dayOf(slot);
    String said = weeks.matches("[1-9]|1[0-6]") ? batches.fillDown(slot, Integer.parseInt(weeks), who)
        : "Nothing filled: the weeks must be from 1 to 16 but were '" + weeks + "'.";
    return days(board.lifterOf(slot).id(), day, said, htmx, response);
  }

  private ModelAndView days(long lifterId, LocalDate day, String said, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader("Vary", "HX-Request");
    ModelAndView answer = new ModelAndView(htmx.isHtmxRequest() ? "board/page :: days" : "board/page", Map.of("board", board.week(lifterId,
        day), "boardSaid", said));
    answer.addAllObjects(answers.choices());
    return answer;
  }

  /** Copies a day's lines to another day. */
  @PostMapping("/lifters/{id}/days/{day}/copy")
  String copyDay(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(required = false) @Nullable LocalDate to,
      @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    Lifter lifter = board.lifter(id);
    Optional<String> wrong = wrong(to);
    flash.addFlashAttribute("said", wrong.map("Nothing copied: "::concat).orElseGet(() -> batches.copyDay(lifter, day, Objects.requireNonNull(to), who)));
    return week(id, to == null || wrong.isPresent() ? day : to);
  }

  /** Writes a day's lines on the same day of so many weeks to come, in one change. */
  @PostMapping("/lifters/{id}/days/{day}/weeks")
  String weeks(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(defaultValue = "") String weeks, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    Lifter lifter = board.lifter(id);
    flash.addFlashAttribute("said", weeks.strip().matches("[1-9]|1[0-6]") ? batches.repeatDay(lifter, day, Integer.parseInt(weeks.strip()), who)
        : "Nothing written: the weeks must be from 1 to 16 but were '" + weeks + "'.");
    return week(id, day);
  }

  /** Takes out the lines of a day that are not begun. */
  @PostMapping("/lifters/{id}/days/{day}/clear")
  String clear(@PathVariable long id, @PathVariable LocalDate day, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute("said", batches.clear(board.lifter(id), day, who));
    return week(id, day);
  }

  /** Silences a check or a caution for a lifter; the reason stays on record. */
  @PostMapping("/lifters/{id}/silences")
  String silence(@PathVariable long id, @RequestParam String check, @RequestParam(defaultValue = "") String lift,
      @RequestParam(defaultValue = "") String reason,
      @RequestParam(required = false) @Nullable LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = board.lifter(id);
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
