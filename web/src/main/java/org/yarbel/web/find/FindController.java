package org.yarbel.web.find;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds lifters, pages, lifts, contests, groups and templates by a part of what they are called. */
@Controller
class FindController {
  private static final int MOST_TYPED = 80;

  private final Finding finding;

  FindController(Finding finding) {
    this.finding = finding;
  }

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    String typed = (q.length() > MOST_TYPED ? q.substring(0, MOST_TYPED) : q).strip();
    model.addAttribute("q", typed);
    model.addAttribute("found", finding.of(typed));
    return htmx.isHtmxRequest() ? "find/page :: found" : "find/page";
  }

  /** Every key there is. */
  @GetMapping("/keys")
  String keys() {
    return "find/keys";
  }
}
