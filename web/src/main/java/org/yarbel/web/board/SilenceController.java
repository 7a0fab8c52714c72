package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.watch.Silence;
import org.yarbel.web.watch.Silences;
import org.yarbel.web.who.SignedIn;

/** A check or a caution that is not to speak for one lifter any more, and why; and one that speaks again. */
@Controller
class SilenceController {
  private static final int MOST_REASON = 300;

  private final PlanReader plans;
  private final Silences silences;
  private final Lifts lifts;

  SilenceController(PlanReader plans, Silences silences, Lifts lifts) {
    this.plans = plans;
    this.silences = silences;
    this.lifts = lifts;
  }

  /**
   * What is to be silent.
   *
   * @param check the key of a check or the code of a caution
   * @param lift the lift it speaks of; null or empty for the day or the week
   * @param of a day of the week to go back to; null for this week
   */
  public record WantedSilence(String check, @Nullable String lift, @Nullable LocalDate of, @Nullable String reason) {
    public String ofLift() {
      return lift == null ? "" : lift;
    }

    String why() {
      return reason == null ? "" : reason.strip();
    }
  }

  /** The form for it, in the place of the link that asked or as a page of its own. */
  @GetMapping("/lifters/{id}/silences/new")
  ModelAndView ask(@PathVariable long id, @ModelAttribute WantedSilence wanted, HtmxRequest htmx) {
    Lifter lifter = known(id, wanted);
    return new ModelAndView(htmx.isHtmxRequest() ? "board/silence :: form" : "board/silencing", shown(lifter, wanted));
  }

  /** Silences it; the reason stays on record. */
  @PostMapping("/lifters/{id}/silences")
  ModelAndView silence(@PathVariable long id, @ModelAttribute WantedSilence wanted, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    Lifter lifter = known(id, wanted);
    if (wanted.why().isEmpty() || wanted.why().length() > MOST_REASON) {
      ModelAndView again = new ModelAndView("board/silencing", shown(lifter, wanted), HttpStatus.UNPROCESSABLE_CONTENT);
      return again.addObject("refused", "It still speaks: write in 1 to " + MOST_REASON + " characters why it should not.");
    }
    silences.silence(lifter.id(), wanted.check(), wanted.ofLift(), wanted.why(), who);
    flash.addFlashAttribute("said", "Silenced for this lifter. The reason stands on record below the week.");
    return new ModelAndView(WeekController.week(id, wanted.of()));
  }

  /** Lets a silenced check speak again. */
  @PostMapping("/silences/{id}/end")
  String speak(@PathVariable long id, @RequestParam(required = false) @Nullable LocalDate of, RedirectAttributes flash) {
    long lifterId = silences.speak(id);
    flash.addFlashAttribute("said", "It speaks again.");
    return WeekController.week(lifterId, of);
  }

  private Lifter known(long lifterId, WantedSilence wanted) {
    Lifter lifter = plans.lifter(lifterId);
    if (Silence.title(wanted.check()).isEmpty() || !wanted.ofLift().isEmpty() && lifts.catalogue().ofKey(wanted.ofLift()).isEmpty()) {
      throw new NotFound();
    }
    return lifter;
  }

  private static Map<String, Object> shown(Lifter lifter, WantedSilence wanted) {
    return Map.of("lifterId", lifter.id(), "lifter", lifter.name(), "wanted", wanted, "what", Silence.title(wanted.check()).orElseThrow());
  }
}
