package org.yarbel.web.find;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.form.Sought;

/** Finds lifters, pages, lifts, contests, groups and templates by a part of what they are called. */
@Controller
class FindController {
  private final Finder finder;

  FindController(Finder finder) {
    this.finder = finder;
  }

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Sought name = new Sought(q);
    model.addAttribute("q", name.typed());
    model.addAttribute("found", finder.of(name));
    return htmx.isHtmxRequest() ? "find/found :: found" : "find/page";
  }

  /** Every key there is. */
  @GetMapping("/keys")
  String keys() {
    return "find/keys";
  }
}
