package org.yarbel.web.card;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
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
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Shown;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LineLogged;
import org.yarbel.web.who.SignedIn;

/** The Card's page and the entries made on it. */
@Controller
class CardController {
  private final CardService cards;
  private final CardLog log;
  private final CardPages pages;
  private final CardNotes notes;
  private final Lifts lifts;
  private final ApplicationEventPublisher events;

  CardController(CardService cards, CardLog log, CardPages pages, CardNotes notes, Lifts lifts, ApplicationEventPublisher events) {
    this.cards = cards;
    this.log = log;
    this.pages = pages;
    this.notes = notes;
    this.lifts = lifts;
    this.events = events;
  }

  @GetMapping("/sessions/{id}/card")
  String page(@PathVariable long id, @RequestParam(required = false) @Nullable String set,
      @RequestParam(required = false) @Nullable String after, @AuthenticationPrincipal SignedIn who, Model model) {
    model.addAllAttributes(pages.shown(id, who, new CardView.Wanted(set, after, null)));
    return "card/page";
  }

  @PostMapping("/sessions/{id}/sets")
  ModelAndView log(@PathVariable long id, @ModelAttribute EntryForm typed, @RequestParam MultiValueMap<String, String> all,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    EntryForm form = typed.corrected();
    SaidForm also = SaidForm.of(all);
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    if (form.clear()) {
      form.line().flatMap(line -> log.clear(id, who, line, form.place()))
          .ifPresent(line -> events.publishEvent(new LineLogged(line)));
      return pages.kept(id, who, htmx, new CardView.Wanted(form.panel(), null, null));
    }
    EntryForm.CheckedEntry checked = form.check(cards.unit(id, who), also, lifts.catalogue());
    if (checked.entry().isEmpty()) {
      return refused(id, who, form, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          filled(form, also, checked.errors(), null, null));
    }
    CardLog.LogOutcome outcome = write(id, who, checked.entry().get(), form.sure() != null);
    if (outcome instanceof CardLog.LogOutcome.OfAnother) {
      return refused(id, who, form, htmx, HttpStatus.CONFLICT, filled(form, also, Map.of(), null,
          "This page had an entry of another set. Yours is still in the fields: log it again."));
    }
    if (outcome instanceof CardLog.LogOutcome.Superseded changed) {
      return refused(id, who, form, htmx, HttpStatus.CONFLICT, filled(form, also, Map.of(), null,
          "Meanwhile this set was logged as " + changed.now().words() + ". Yours is still in the fields: log it to replace that."));
    }
    if (outcome instanceof CardLog.LogOutcome.Doubt doubt) {
      return refused(id, who, form, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          filled(form, also, Map.of(), doubt.about(), null));
    }
    // only now, with the entry kept and its transaction over
    events.publishEvent(new LineLogged(checked.entry().get().line()));
    return pages.kept(id, who, htmx, new CardView.Wanted(null, form.panel(), null));
  }

  /** Takes a card: on its day or later it is issued, and stays as it is. */
  @PostMapping("/sessions/{id}/issue")
  ModelAndView issue(@PathVariable long id, @RequestParam(required = false) @Nullable String set,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    open(id, who);
    return pages.kept(id, who, htmx, new CardView.Wanted(set, null, null));
  }

  /** Ends a session: what of the rest was left out, and what would not have gone. */
  @PostMapping("/sessions/{id}/end")
  ModelAndView end(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    CardNotes.Ended ended = notes.end(id, who, form);
    if (!ended.typed().fine()) {
      return pages.refused(id, who, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
          new CardView.Wanted(null, null, null, Map.of("end", Shown.of(ended.typed()))));
    }
    ended.lines().forEach(slot -> events.publishEvent(new LineLogged(slot)));
    return pages.kept(id, who, htmx, CardView.Wanted.NEXT);
  }

  /** Goes on with a session that was ended. */
  @PostMapping("/sessions/{id}/go-on")
  ModelAndView goOn(@PathVariable long id, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    log.goOn(id, who).forEach(slot -> events.publishEvent(new LineLogged(slot)));
    return pages.kept(id, who, htmx, CardView.Wanted.NEXT);
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

  private ModelAndView refused(long id, SignedIn who, EntryForm form, HtmxRequest htmx, HttpStatus status, CardView.Filled filled) {
    return pages.refused(id, who, htmx, status, new CardView.Wanted(form.panel(), null, filled));
  }

  private static CardView.Filled filled(EntryForm form, SaidForm also, Map<String, String> errors,
      EntryDoubt.@Nullable Doubt doubt, @Nullable String changed) {
    CardView.EntryQuestion question = doubt == null ? null : new CardView.EntryQuestion(doubt.question(), doubt.instead() == null
        ? null : doubt.instead().number(), form.pressed());
    String key = changed == null && form.key() != null ? form.key() : UUID.randomUUID().toString();
    return new CardView.Filled(key, text(form.load()), text(form.reps()), text(form.rpe()),
        text(form.seconds()), text(form.metres()), form.ending(), form.howEnded(), errors, question, changed, also);
  }

  private static String text(@Nullable String typed) {
    return typed == null ? "" : typed;
  }
}
