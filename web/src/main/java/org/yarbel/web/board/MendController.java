package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.lift.Lift;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.line.Previews;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Lines written with one press: the text a check proposes, the coach's word, what the method would write. */
@Controller
class MendController {
  private final PlanReader plans;
  private final Previews previews;
  private final PlanService plan;
  private final BoardAnswers answers;
  private final Lifts lifts;

  MendController(PlanReader plans, Previews previews, PlanService plan, BoardAnswers answers, Lifts lifts) {
    this.plans = plans;
    this.previews = previews;
    this.plan = plan;
    this.answers = answers;
    this.lifts = lifts;
  }

  /** Takes the text a check proposes for a line. */
  @PostMapping("/slots/{id}/mend")
  ModelAndView mend(@PathVariable long id, @RequestParam String work, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    Slot slot = plans.stored(id);
    return written(slot, slot.lift(), work, "Mended: ", who, htmx, response);
  }

  /** The coach's word that a beginner does a line which is not for beginners. */
  @PostMapping("/slots/{id}/word")
  ModelAndView word(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    LocalDate day = plans.dayOf(slot);
    long lifterId = plans.lifterOf(slot).id();
    Lift lift = lifts.catalogue().ofKey(slot.lift()).orElseThrow(NotFound::new);
    PlanService.EditOutcome outcome = plan.write(id, slot.version(),
        new PlanService.TypedWork(slot.kind(), lift, slot.work(), slot.details().withWord(true)), who);
    return outcome instanceof PlanService.EditOutcome.Done done
        ? answers.day(lifterId, day, htmx, response, HttpStatus.OK,
            Map.of("undo", done.changeId(), "said", "It opens on the card: " + lift.name() + " " + slot.work()))
        : answers.day(lifterId, day, htmx, response, HttpStatus.CONFLICT,
            Map.of("said", "It stays: the line was changed or begun meanwhile."));
  }

  /** Gives a line back to its method. */
  @PostMapping("/slots/{id}/as-written")
  ModelAndView asWritten(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    return written(slot, slot.writtenLift().orElseThrow(NotFound::new), slot.writtenWork().orElseThrow(NotFound::new),
        "As the method writes it: ", who, htmx, response);
  }

  private ModelAndView written(Slot slot, String key, String work, String said, SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    LocalDate day = plans.dayOf(slot);
    long lifterId = plans.lifterOf(slot).id();
    Lift lift = lifts.catalogue().ofKey(key).orElseThrow(NotFound::new);
    if (previews.line(new Previews.PreviewPlace(lifterId, day, slot.id()), lift, work, null).wrong()) {
      return answers.day(lifterId, day, htmx, response, HttpStatus.UNPROCESSABLE_CONTENT, Map.of("said",
          "It stays: that text cannot be worked out for this lifter any more."));
    }
    PlanService.EditOutcome outcome = plan.write(slot.id(), slot.version(), PlanService.TypedWork.of(slot.kind(), lift, work), who);
    if (outcome instanceof PlanService.EditOutcome.Done done) {
      return answers.day(lifterId, day, htmx, response, HttpStatus.OK, Map.of("undo", done.changeId(), "said", said + lift.name()
          + " " + work));
    }
    return answers.day(lifterId, day, htmx, response, HttpStatus.CONFLICT,
        Map.of("said", "It stays: the line was changed or begun meanwhile."));
  }
}
