package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.edit.Arranging;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.who.SignedIn;

/** The order of a session's lines and their groups. Every answer is the day, with what was done and a way back. */
@Controller
class ArrangeController {
  private final Arranging arranging;
  private final PlanReader plans;
  private final BoardAnswers answers;

  ArrangeController(Arranging arranging, PlanReader plans, BoardAnswers answers) {
    this.arranging = arranging;
    this.plans = plans;
    this.answers = answers;
  }

  /** What was typed of a group; what is empty is not said. */
  record GroupForm(@Nullable String kind, @Nullable String rounds, @Nullable String between, @Nullable String betweenRounds,
      @Nullable String clock) {
    /** The group, or an {@link Refused} that says what is wrong. */
    Group group() {
      Group.Kind known = Group.Kind.SUPERSET;
      for (Group.Kind one : Group.Kind.values()) {
        known = one.name().equals(kind) ? one : known;
      }
      return new Group(known, number("rounds", rounds), seconds("rest between exercises", between),
          seconds("rest between rounds", betweenRounds), seconds("clock", clock));
    }

    private static @Nullable Integer number(String what, @Nullable String typed) {
      String text = typed == null ? "" : typed.strip();
      if (text.isEmpty()) {
        return null;
      }
      if (!text.matches("\\d{1,4}")) {
        throw new Refused("The " + what + " must be a whole number but was '" + text + "'");
      }
      return Integer.valueOf(text);
    }

    /** Seconds, or minutes and seconds with a colon. */
    private static @Nullable Integer seconds(String what, @Nullable String typed) {
      String text = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT).replaceFirst("\\s*s$", "");
      if (!text.matches("\\d{1,2}:[0-5]\\d")) {
        return number(what, text);
      }
      String[] parts = text.split(":");
      return Integer.valueOf(Integer.parseInt(parts[0]) * 60 + Integer.parseInt(parts[1]));
    }
  }

  /** Moves a line by so many places, or before another: 0 for the end. */
  @PostMapping("/slots/{id}/move")
  ModelAndView move(@PathVariable long id, @RequestParam(defaultValue = "0") int by, @RequestParam(required = false) @Nullable Long before,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    Slot slot = plans.stored(id);
    return day(slot, before == null ? arranging.move(id, by, who) : arranging.moveBefore(id, before, who), htmx, response);
  }

  @PostMapping("/slots/{id}/join")
  ModelAndView join(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    return day(plans.stored(id), arranging.join(id, who), htmx, response);
  }

  @PostMapping("/slots/{id}/leave")
  ModelAndView leave(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    return day(plans.stored(id), arranging.leave(id, who), htmx, response);
  }

  @PostMapping("/sessions/{id}/groups/{number}")
  ModelAndView write(@PathVariable long id, @PathVariable int number, @ModelAttribute GroupForm form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    try {
      return day(id, arranging.write(id, number, form.group(), who), htmx, response);
    } catch (Refused wrong) {
      TrainingSession session = arranging.session(id);
      return answers.day(session.lifterId(), session.day(), htmx, response, HttpStatus.UNPROCESSABLE_CONTENT,
          Map.of("typedGroup", form, "typedGroupNumber", number, "groupError", wrong.sentence()));
    }
  }

  @PostMapping("/sessions/{id}/groups/{number}/again")
  ModelAndView again(@PathVariable long id, @PathVariable int number, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    return day(id, arranging.again(id, number, SlotKind.COOL_DOWN, who), htmx, response);
  }

  @PostMapping("/sessions/{id}/groups/{number}/dissolve")
  ModelAndView dissolve(@PathVariable long id, @PathVariable int number, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    return day(id, arranging.dissolve(id, number, who), htmx, response);
  }

  private ModelAndView day(Slot slot, Arranging.ArrangeOutcome outcome, HtmxRequest htmx, HttpServletResponse response) {
    return day(slot.sessionId(), outcome, htmx, response);
  }

  private ModelAndView day(long sessionId, Arranging.ArrangeOutcome outcome, HtmxRequest htmx, HttpServletResponse response) {
    TrainingSession session = arranging.session(sessionId);
    Map<String, Object> more = new HashMap<>(Map.of("said", outcome.said()));
    if (outcome.changeId() != null) {
      more.put("undo", outcome.changeId());
    }
    return answers.day(session.lifterId(), session.day(), htmx, response,
        outcome.changeId() == null ? HttpStatus.CONFLICT : HttpStatus.OK, more);
  }
}
