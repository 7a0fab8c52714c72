package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Lines and days moved, copied, filled down, repeated and taken out. */
@Controller
class BatchController {
  /** So far from today a line may be moved or copied. */
  private static final int MOST_YEARS = 2;

  private final BoardService board;
  private final PlanReader plans;
  private final Batches batches;
  private final BoardAnswers answers;
  private final ClubClock clock;

  BatchController(BoardService board, PlanReader plans, Batches batches, BoardAnswers answers, ClubClock clock) {
    this.board = board;
    this.plans = plans;
    this.batches = batches;
    this.answers = answers;
    this.clock = clock;
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
  String moveAll(@PathVariable long id, @RequestParam List<Long> lines, @RequestParam LocalDate to,
      @RequestParam(required = false) @Nullable LocalDate of, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = plans.lifter(id);
    if (lines.size() > Sessions.MOST_LINES) {
      throw new NotFound();
    }
    List<Slot> all = lines.stream().map(plans::stored).toList();
    if (all.stream().anyMatch(slot -> plans.lifterOf(slot).id() != lifter.id()) || all.stream().map(Slot::sessionId).distinct()
        .count() > 1) {
      throw new NotFound();
    }
    flash.addFlashAttribute("said", wrong(to).map("Nothing moved: "::concat).orElseGet(() -> batches.moveAll(all, to, who)));
    return WeekController.week(id, of == null ? to : of);
  }

  /** Moves or copies a line to another day. */
  @PostMapping("/slots/{id}/to")
  ModelAndView to(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate to,
      @RequestParam(defaultValue = "") String copy, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    LocalDate day = plans.dayOf(slot);
    String said = wrong(to).map("Nothing moved: "::concat)
        .orElseGet(() -> copy.isEmpty() ? batches.move(slot, Objects.requireNonNull(to), who)
        : batches.copy(slot, Objects.requireNonNull(to), who));
    return days(plans.lifterOf(slot).id(), day, said, htmx, response);
  }

  /** Copies a line to the same day of weeks to come. */
  @PostMapping("/slots/{id}/down")
  ModelAndView down(@PathVariable long id, @RequestParam(defaultValue = "") String weeks, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    LocalDate day = plans.dayOf(slot);
    String said = weeks.matches("[1-9]|1[0-6]") ? batches.fillDown(slot, Integer.parseInt(weeks), who)
        : "Nothing filled: the weeks must be from 1 to 16 but were '" + weeks + "'.";
    return days(plans.lifterOf(slot).id(), day, said, htmx, response);
  }

  private ModelAndView days(long lifterId, LocalDate day, String said, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader("Vary", "HX-Request");
    ModelAndView answer = new ModelAndView(htmx.isHtmxRequest() ? "board/days :: days" : "board/page", Map.of("board", board.week(lifterId,
        day), "boardSaid", said));
    answer.addAllObjects(answers.choices());
    return answer;
  }

  /** Copies a day's lines to another day. */
  @PostMapping("/lifters/{id}/days/{day}/copy")
  String copyDay(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(required = false) @Nullable LocalDate to,
      @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    Lifter lifter = plans.lifter(id);
    Optional<String> wrong = wrong(to);
    flash.addFlashAttribute("said", wrong.map("Nothing copied: "::concat)
        .orElseGet(() -> batches.copyDay(lifter, day, Objects.requireNonNull(to), who)));
    return WeekController.week(id, to == null || wrong.isPresent() ? day : to);
  }

  /** Writes a day's lines on the same day of so many weeks to come, in one change. */
  @PostMapping("/lifters/{id}/days/{day}/weeks")
  String weeks(@PathVariable long id, @PathVariable LocalDate day, @RequestParam(defaultValue = "") String weeks,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Lifter lifter = plans.lifter(id);
    flash.addFlashAttribute("said", weeks.strip().matches("[1-9]|1[0-6]")
        ? batches.repeatDay(lifter, day, Integer.parseInt(weeks.strip()), who)
        : "Nothing written: the weeks must be from 1 to 16 but were '" + weeks + "'.");
    return WeekController.week(id, day);
  }

  /** Takes out the lines of a day that are not begun. */
  @PostMapping("/lifters/{id}/days/{day}/clear")
  String clear(@PathVariable long id, @PathVariable LocalDate day, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    flash.addFlashAttribute("said", batches.clear(plans.lifter(id), day, who));
    return WeekController.week(id, day);
  }
}
