package org.yarbel.web.program;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Places;
import org.yarbel.web.problem.NotFound;

/** The pages that tell each method in plain words, with a worked example. */
@Controller
class MethodGuideController {
  private final Lifts lifts;
  private final Places places;

  MethodGuideController(Lifts lifts, Places places) {
    this.lifts = lifts;
    this.places = places;
  }

  @GetMapping("/methods")
  String all(Model model) {
    model.addAttribute("methods", Method.values());
    return "program/methods";
  }

  @GetMapping("/methods/{key}")
  String one(@PathVariable String key, Model model) {
    Method method = Method.ofKey(key).orElseThrow(NotFound::new);
    model.addAttribute("method", method);
    model.addAttribute("guide", method.guide());
    model.addAttribute("parameters", method.rule().parameters());
    model.addAttribute("example", MethodExample.of(method, lifts.catalogue(), places));
    return "program/method";
  }
}
