package org.yarbel.web.job;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.yarbel.web.edge.Back;

/** How far long work is: a page, and the bar alone for the pages that show it. */
@Controller
class JobController {
  private final Jobs jobs;

  JobController(Jobs jobs) {
    this.jobs = jobs;
  }

  @GetMapping("/jobs/{id}")
  String page(@PathVariable long id, @RequestParam(defaultValue = "/") String back, Model model) {
    model.addAttribute("job", jobs.progress(id));
    model.addAttribute("back", Back.to(back));
    return "job/page";
  }

  @GetMapping("/jobs/{id}/bar")
  String bar(@PathVariable long id, HttpServletResponse response, Model model) {
    Jobs.Progress job = jobs.progress(id);
    model.addAttribute("job", job);
    if (job.ended()) {
      // a page that shows more than the bar asks for itself anew
      response.addHeader("HX-Trigger", "yarbel:job-ended");
    }
    return "job/bar :: bar";
  }
}
