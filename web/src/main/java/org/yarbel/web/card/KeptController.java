package org.yarbel.web.card;

import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** What a lifter's phone keeps by itself: the cards of the days to come, so that it lifts in a cellar. */
@Controller
class KeptController {
  private final KeptCards kept;
  private final CardPages pages;

  KeptController(KeptCards kept, CardPages pages) {
    this.kept = kept;
    this.pages = pages;
  }

  /** Which cards there are to keep; those that have moved are numbered anew. */
  @PostMapping("/me/kept")
  @ResponseBody
  List<KeptCards.Kept> keep(@AuthenticationPrincipal SignedIn who) {
    Long lifter = who.lifterId();
    if (lifter == null) {
      throw new NotFound();
    }
    return kept.keep(lifter);
  }

  /** One of them, whole, as it opens without a signal. */
  @GetMapping("/sessions/{id}/card/kept")
  String page(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
    model.addAllAttributes(pages.kept(id, who));
    return "card/page";
  }
}
