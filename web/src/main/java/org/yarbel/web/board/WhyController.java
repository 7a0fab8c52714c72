package org.yarbel.web.board;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Why the loads of a line are what they are: on the board and the grid beside the line, by itself as a page. */
@Controller
class WhyController {
  private final WhyReader reader;

  WhyController(WhyReader reader) {
    this.reader = reader;
  }

  @GetMapping("/slots/{id}/why")
  String why(@PathVariable long id, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("why", reader.of(id));
    return htmx.isHtmxRequest() ? "board/why :: lines" : "board/why";
  }

  /** The same of a lift and its variations in a week, as the long plan has them in a row. */
  @GetMapping("/lifters/{id}/why")
  String week(@PathVariable long id, @RequestParam LocalDate week, @RequestParam String lift, Model model) {
    model.addAttribute("why", reader.of(id, week, lift));
    return "board/week-why";
  }
}
