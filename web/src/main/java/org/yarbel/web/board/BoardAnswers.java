package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Lifts;

/** The pieces of the board that changes are answered with; for htmx the piece alone, else the week it is in. */
@Component
class BoardAnswers {
  private final BoardService board;
  private final Lifts lifts;

  BoardAnswers(BoardService board, Lifts lifts) {
    this.board = board;
    this.lifts = lifts;
  }

  /** What the fields of the board choose from. */
  Map<String, Object> choices() {
    return Map.of("kinds", SlotKind.values(), "lifts", lifts.offered(), "gears", Gear.values(), "groupKinds", Group.Kind.values());
  }

  /** The day alone for htmx, else the whole week it is in. */
  ModelAndView day(long lifterId, LocalDate day, HtmxRequest htmx, HttpServletResponse response,
      HttpStatus status, Map<String, ?> more) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Map<String, Object> model = new HashMap<>(more);
    model.putAll(choices());
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
  ModelAndView row(BoardView.SlotView slot, HtmxRequest htmx, HttpServletResponse response, HttpStatus status) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    ModelAndView answer = htmx.isHtmxRequest()
        ? new ModelAndView("board/slot :: slot", Map.of("slot", slot))
        : new ModelAndView("board/page",
            Map.of("board", board.week(slot.lifterId(), LocalDate.parse(slot.date())), "typedSlot", slot));
    answer.addAllObjects(choices());
    answer.setStatus(status);
    return answer;
  }
}
