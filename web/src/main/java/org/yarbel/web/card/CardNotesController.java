package org.yarbel.web.card;

import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.web.form.Shown;
import org.yarbel.web.form.Typed;
import org.yarbel.web.who.SignedIn;

/** What is said around the sets of a card. */
@Controller
class CardNotesController {
  private static final String UNDO = "again";

  private final CardNotes notes;
  private final CardExtras extras;
  private final CardPages pages;

  CardNotesController(CardNotes notes, CardExtras extras, CardPages pages) {
    this.notes = notes;
    this.extras = extras;
    this.pages = pages;
  }

  @PostMapping("/sessions/{id}/check-in")
  ModelAndView checkIn(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    return answer(id, who, "check-in", notes.checkIn(id, who, form), htmx, response);
  }

  /** Makes the session easier on a low day, or lets it stand as planned again. */
  @PostMapping("/sessions/{id}/easier")
  ModelAndView ease(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    return answer(id, who, "easier", notes.ease(id, who, form), htmx, response);
  }

  @PostMapping("/sessions/{id}/words")
  ModelAndView say(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    return answer(id, who, "say", notes.say(id, who, form), htmx, response);
  }

  /** Somebody has the words of the other side before them. */
  @PostMapping("/sessions/{id}/read")
  ResponseEntity<Void> read(@PathVariable long id, @RequestParam long upTo, @AuthenticationPrincipal SignedIn who) {
    notes.read(id, who, upTo);
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/sessions/{id}/lifted")
  ModelAndView lifted(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    return answer(id, who, "lifted", notes.lifted(id, who, form), htmx, response);
  }

  @PostMapping("/sessions/{id}/extra")
  ModelAndView extra(@PathVariable long id, @RequestParam Map<String, String> form, @AuthenticationPrincipal SignedIn who,
      HtmxRequest htmx, HttpServletResponse response) {
    return answer(id, who, "extra", extras.extra(id, who, form), htmx, response);
  }

  /** Takes sets out that were done beside the card; they stand in the form again, to be put back. */
  @PostMapping("/sessions/{id}/extra/{line}/out")
  ModelAndView takeOut(@PathVariable long id, @PathVariable UUID line, @AuthenticationPrincipal SignedIn who, HtmxRequest htmx,
      HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Map<String, String> was = new LinkedHashMap<>(extras.takeOut(id, who, line));
    was.put("key", UUID.randomUUID().toString());
    was.put(UNDO, was.size() == 1 ? "" : "Taken out. It stands here still: add it again if it was right.");
    // shown at once, since an address would have to carry it
    return pages.shownNow(id, who, htmx, new CardView.Wanted(null, null, null, Map.of("extra", new Shown(was, Map.of(), Map.of()))));
  }

  /** How hard a set looked; for coaches alone. */
  @PostMapping("/sessions/{id}/opinion")
  ModelAndView opine(@PathVariable long id, @RequestParam int part, @RequestParam int set, @RequestParam Map<String, String> form,
      @AuthenticationPrincipal SignedIn who, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    Typed typed = extras.opine(id, who, new LoggedSet.Place(part, set), form);
    CardView.Wanted wanted = new CardView.Wanted(form.getOrDefault("slot", "") + "-" + part + "-" + set, null, null,
        Map.of("opinion", Shown.of(typed)));
    return typed.fine() ? pages.kept(id, who, htmx, wanted) : pages.refused(id, who, htmx, HttpStatus.UNPROCESSABLE_CONTENT, wanted);
  }

  private ModelAndView answer(long id, SignedIn who, String form, Typed typed, HtmxRequest htmx, HttpServletResponse response) {
    response.addHeader(HttpHeaders.VARY, "HX-Request");
    return typed.fine() ? pages.kept(id, who, htmx, CardView.Wanted.NEXT)
        : pages.refused(id, who, htmx, HttpStatus.UNPROCESSABLE_CONTENT,
            new CardView.Wanted(null, null, null, Map.of(form, Shown.of(typed))));
  }
}
