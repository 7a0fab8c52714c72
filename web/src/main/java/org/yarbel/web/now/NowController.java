package org.yarbel.web.now;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.yarbel.web.card.TrainingNow;

/** Training now, whole and as its rows alone. */
@Controller
class NowController {
  private final TrainingNow training;

  NowController(TrainingNow training) {
    this.training = training;
  }

  @GetMapping("/now")
  String page(HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("rows", training.rows());
    return htmx.isHtmxRequest() ? "now/rows :: rows" : "now/page";
  }
}
