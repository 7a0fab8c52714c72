package org.yarbel.web.clip;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.once.WritesNothing;
import org.yarbel.web.who.SignedIn;

/** Looks at clips; for coaches. */
@Controller
class ReviewController {
  private final ClipReview review;

  ReviewController(ClipReview review) {
    this.review = review;
  }

  @GetMapping("/clips/{id}/review")
  ModelAndView page(@PathVariable long id, @RequestParam(required = false) @Nullable Long with, @AuthenticationPrincipal SignedIn who) {
    return shown(id, with, who, new Typed(Map.of()));
  }

  private ModelAndView shown(long id, @Nullable Long with, SignedIn who, Typed typed) {
    ModelAndView page = new ModelAndView("clip/review", Map.of("clip", review.of(id, with, who), "form", Shown.of(typed)));
    page.setStatus(typed.fine() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  @PostMapping("/clips/{id}/marks")
  ModelAndView mark(@PathVariable long id, @RequestParam(required = false) @Nullable Long with, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who) {
    return after(id, with, who, review.mark(id, who, new Typed(form)));
  }

  @PostMapping("/clips/{id}/marks/{mark}/out")
  ModelAndView unmark(@PathVariable long id, @PathVariable long mark, @RequestParam(required = false) @Nullable Long with,
      @AuthenticationPrincipal SignedIn who) {
    review.unmark(id, mark, who);
    return after(id, with, who, new Typed(Map.of()));
  }

  /** Writes what was read off the picture to the set. */
  @PostMapping("/clips/{id}/speeds")
  ModelAndView write(@PathVariable long id, @RequestParam(required = false) @Nullable Long with, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who) {
    return after(id, with, who, review.write(id, who, new Typed(form)));
  }

  private ModelAndView after(long id, @Nullable Long with, SignedIn who, Typed typed) {
    return typed.fine() ? new ModelAndView("redirect:/clips/" + id + "/review" + (with == null ? "" : "?with=" + with))
        : shown(id, with, who, typed);
  }

  /** Reads the speed of a rep off the clicks on its picture. */
  @PostMapping("/clips/{id}/measure")
  @ResponseBody
  @WritesNothing
  ResponseEntity<ClipReview.Read> measure(@PathVariable long id, @ModelAttribute ClipReview.Clicks clicks,
      @AuthenticationPrincipal SignedIn who) {
    review.of(id, null, who);
    ClipReview.Read read = review.read(clicks);
    return ResponseEntity.status(read.refused() == null ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT).body(read);
  }
}
