package org.yarbel.web.card;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.who.SignedIn;

/** The Card as it is answered: whole, or the part that a script puts in its place. */
@Component
class CardPages {
  private final CardService cards;
  private final CoreJson json;
  private final Lifts lifts;

  CardPages(CardService cards, CoreJson json, Lifts lifts) {
    this.cards = cards;
    this.json = json;
    this.lifts = lifts;
  }

  Map<String, Object> shown(long id, SignedIn who, CardView.Wanted wanted) {
    return shown(cards.look(id, who), who, wanted);
  }

  /** As a phone keeps it for a day to come. */
  Map<String, Object> kept(long id, SignedIn who) {
    return shown(cards.lookAtKept(id, who), who, CardView.Wanted.NEXT);
  }

  private Map<String, Object> shown(CardService.Card card, SignedIn who, CardView.Wanted wanted) {
    CardView view = CardView.of(card, wanted);
    return Map.of("card", view, "tables", json.write(view.tables()), "besides", json.write(view.besides()),
        "easy", view.easy() == null ? "" : json.write(view.easy().table()),
        "coach", who.staff(), "lifts", lifts.offered());
  }

  /** It was written down: the card as it stands now. */
  ModelAndView kept(long id, SignedIn who, HtmxRequest htmx, CardView.Wanted wanted) {
    if (htmx.isHtmxRequest()) {
      return new ModelAndView("card/card :: card", shown(id, who, wanted));
    }
    UriComponentsBuilder card = UriComponentsBuilder.fromPath("/sessions/{id}/card")
        .queryParamIfPresent("set", Optional.ofNullable(wanted.panel()))
        .queryParamIfPresent("after", Optional.ofNullable(wanted.after()));
    return new ModelAndView("redirect:" + card.buildAndExpand(id).toUriString());
  }

  /** It was not taken: the card with what was typed, and why. */
  ModelAndView refused(long id, SignedIn who, HtmxRequest htmx, HttpStatus status, CardView.Wanted wanted) {
    ModelAndView page = shownNow(id, who, htmx, wanted);
    page.setStatus(status);
    return page;
  }

  /** The card with something that no address carries. */
  ModelAndView shownNow(long id, SignedIn who, HtmxRequest htmx, CardView.Wanted wanted) {
    return new ModelAndView(htmx.isHtmxRequest() ? "card/card :: card" : "card/page", shown(id, who, wanted));
  }
}
