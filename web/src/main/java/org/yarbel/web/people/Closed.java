package org.yarbel.web.people;

import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.ModelAndView;

/** The page of a link that lets nobody in any more. */
final class Closed {
  private Closed() {}

  static ModelAndView page(EntryLinks.State state) {
    ModelAndView page = new ModelAndView("people/closed", "why", switch (state) {
      case USED -> "This link was used already: it counts once. If it was you, sign in with what you chose then.";
      case LATE -> "This link has expired. Ask for another.";
      default -> "This link was taken back. Ask for another.";
    });
    page.setStatus(HttpStatus.GONE);
    return page;
  }
}
