package org.yarbel.web.evidence;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Rating skill and bar speed of a lifter. */
@Controller
class EvidenceController {
  private final EvidenceService evidence;

  EvidenceController(EvidenceService evidence) {
    this.evidence = evidence;
  }

  @GetMapping("/lifters/{id}/ratings")
  String ratings(@PathVariable long id, @RequestParam(defaultValue = "") String lift, Model model) {
    model.addAttribute("ratings", evidence.ratings(id, lift));
    return "evidence/ratings";
  }

  /** How a lifter came to the last sessions; a part of the Lifter page. */
  @GetMapping("/lifters/{id}/check-ins")
  String checkIns(@PathVariable long id, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("checkIns", evidence.checkIns(id));
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", evidence.lifter(id).name());
    return htmx.isHtmxRequest() ? "evidence/checkins :: list" : "evidence/checkins";
  }

  /** Bar speed of every lift that was measured: a page, and the part of the Lifter page that comes when it is opened. */
  @GetMapping("/lifters/{id}/speed")
  String speed(@PathVariable long id, HtmxRequest htmx, HttpServletResponse response, Model model) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    model.addAttribute("speeds", evidence.speed(id));
    if (htmx.isHtmxRequest()) {
      return "evidence/speed :: speeds";
    }
    model.addAttribute("lifterId", id);
    model.addAttribute("lifter", evidence.lifter(id).name());
    return "evidence/page";
  }
}
