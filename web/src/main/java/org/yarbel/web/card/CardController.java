package org.yarbel.web.card;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LineLogged;
import org.yarbel.web.who.SignedIn;

/** The Card's page and the entries made on it. */
@Controller
class CardController {
  private final CardService cards;
  private final CardLog log;
  private final CoreJson json;
  private final ApplicationEventPublisher events;

  CardController(CardService cards, CardLog log, CoreJson json, ApplicationEventPublisher events) {
    this.cards = cards;
    this.log = log;
    this.json = json;
    this.events = events;
  }

  @GetMapping("/sessions/{id}/card")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable String set,
      @RequestParam(required = false) @Nullable String after, @AuthenticationPrincipal SignedIn who, Model model) {
    model.addAllAttributes(shown(id, who, new CardView.Wanted(set, after, null)));
    return "card/page";
  }

  @PostMapping("/sessions/{id}/sets")
  ModelAndView log(@PathVariable long id, @ModelAttribute EntryForm typed, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    EntryForm form = typed.corrected();
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    if (form.clear()) {
      form.line().flatMap(line -> log.clear(id, who, line, form.place()))
          .ifPresent(line -> events.publishEvent(new LineLogged(line)));
      return kept(id, who, htmx, new CardView.Wanted(form.panel(), null, null));
    }
    EntryForm.CheckedEntry checked = form.check(cards.unit(id, who));
    if (checked.entry().isEmpty()) {
      return refused(id, who, form, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          filled(form, checked.errors(), null, null));
    }
    CardLog.LogOutcome outcome = write(id, who, checked.entry().get(), form.sure() != null);
    if (outcome instanceof CardLog.LogOutcome.OfAnother) {
      return refused(id, who, form, htmx, HttpStatus.CONFLICT, filled(form, Map.of(), null,
          "This page had an entry of another set. Yours is still in the fields: log it again."));
    }
    if (outcome instanceof CardLog.LogOutcome.Superseded changed) {
      return refused(id, who, form, htmx, HttpStatus.CONFLICT, filled(form, Map.of(), null,
          "Meanwhile this set was logged as " + changed.now().words() + ". Yours is still in the fields: log it to replace that."));
    }
    if (outcome instanceof CardLog.LogOutcome.Doubt doubt) {
      return refused(id, who, form, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          filled(form, Map.of(), doubt.about(), null));
    }
    // only now, with the entry kept and its transaction over
    events.publishEvent(new LineLogged(checked.entry().get().line()));
    return kept(id, who, htmx, new CardView.Wanted(null, form.panel(), null));
  }

  /** Takes a card: on its day or later it is issued, and stays as it is. */
  @PostMapping("/sessions/{id}/issue")
  ModelAndView issue(@PathVariable long id, @RequestParam(required = false) @Nullable String set,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    open(id, who);
    return kept(id, who, htmx, new CardView.Wanted(set, null, null));
  }

  /** Ends a session: what of the rest was left out, and what would not have gone. */
  @PostMapping("/sessions/{id}/end")
  ModelAndView end(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Map<UUID, LeftSets.Why> why = new HashMap<>();
    open(id, who).document().slots().forEach(slot -> why.put(slot.ref(), "could-not".equals(form.get("why-" + slot.ref()))
        ? LeftSets.Why.COULD_NOT
        : LeftSets.Why.LEFT_OUT));
    log.end(id, who, why).forEach(slot -> events.publishEvent(new LineLogged(slot)));
    return kept(id, who, htmx, CardView.Wanted.NEXT);
  }

  /** Goes on with a session that was ended. */
  @PostMapping("/sessions/{id}/go-on")
  ModelAndView goOn(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    log.goOn(id, who).forEach(slot -> events.publishEvent(new LineLogged(slot)));
    return kept(id, who, htmx, CardView.Wanted.NEXT);
  }

  // Opened twice at the same moment, a card is issued once: the second finds the first's.
  private CardService.Card open(long id, SignedIn who) {
    try {
      return cards.open(id, who);
    } catch (DataIntegrityViolationException meanwhile) {
      return cards.open(id, who);
    }
  }

  // Two entries at the same moment: the second finds the first's row and is answered by what it says.
  private CardLog.LogOutcome write(long id, SignedIn who, Entry entry, boolean sure) {
    try {
      return log.log(id, who, entry, sure);
    } catch (DataIntegrityViolationException | OptimisticLockingFailureException meanwhile) {
      return log.log(id, who, entry, sure);
    }
  }

  private ModelAndView kept(long id, SignedIn who, HtmxRequest htmx, CardView.Wanted wanted) {
    if (htmx.isHtmxRequest()) {
      return new ModelAndView("card/card :: card", shown(id, who, wanted));
    }
    UriComponentsBuilder card = UriComponentsBuilder.fromPath("/sessions/{id}/card")
        .queryParamIfPresent("set", Optional.ofNullable(wanted.panel()))
        .queryParamIfPresent("after", Optional.ofNullable(wanted.after()));
    return new ModelAndView("redirect:" + card.buildAndExpand(id).toUriString());
  }

  private ModelAndView refused(long id, SignedIn who, EntryForm form, HtmxRequest htmx, HttpStatus status,
      CardView.Filled filled) {
    ModelAndView page = new ModelAndView(htmx.isHtmxRequest() ? "card/card :: card" : "card/page",
        shown(id, who, new CardView.Wanted(form.panel(), null, filled)));
    page.setStatus(status);
    return page;
  }

  private Map<String, Object> shown(long id, SignedIn who, CardView.Wanted wanted) {
    CardView view = CardView.of(cards.look(id, who), wanted);
    return Map.of("card", view, "tables", json.write(view.tables()), "coach", who.coach());
  }

  private static CardView.Filled filled(EntryForm form, Map<String, String> errors,
      EntryDoubt.@Nullable Doubt doubt, @Nullable String changed) {
    CardView.EntryQuestion question = doubt == null ? null : new CardView.EntryQuestion(doubt.question(), doubt.instead() == null
        ? null : doubt.instead().number(), form.pressed());
    String key = changed == null && form.key() != null ? form.key() : UUID.randomUUID().toString();
    return new CardView.Filled(key, text(form.load()), text(form.reps()), text(form.rpe()), form.flagged() != null,
        text(form.seconds()), text(form.metres()), form.ending(), form.howEnded(), errors, question, changed);
  }

  private static String text(@Nullable String typed) {
    return typed == null ? "" : typed;
  }
}
