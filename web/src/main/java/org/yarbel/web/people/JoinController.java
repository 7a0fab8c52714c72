package org.yarbel.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.account.Entrance;
import org.yarbel.web.account.PasswordRules;
import org.yarbel.web.account.Persons;
import org.yarbel.web.account.SecondSteps;
import org.yarbel.web.account.SignInDetails;
import org.yarbel.web.account.SignInLimits;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** An invitation is taken up: by somebody new, or by somebody who signs in already and is in one club more from then on. */
@Controller
class JoinController {
  private static final int MOST_NAME = 80;

  private final EntryLinks links;
  private final Joining joining;
  private final Persons persons;
  private final SecondSteps steps;
  private final PasswordRules passwords;
  private final SignInLimits limits;
  private final Entrance entrance;

  JoinController(EntryLinks links, Joining joining, Persons persons, SecondSteps steps, PasswordRules passwords, SignInLimits limits,
      Entrance entrance) {
    this.links = links;
    this.joining = joining;
    this.persons = persons;
    this.steps = steps;
    this.passwords = passwords;
    this.limits = limits;
    this.entrance = entrance;
  }

  @GetMapping("/join/{token}")
  ModelAndView page(@PathVariable String token, @AuthenticationPrincipal @Nullable SignedIn who) {
    EntryLinks.Link link = link(token);
    return link.state() == EntryLinks.State.OPEN ? form(link, token, who, Map.of("name", link.name(), "email", link.email()), Map.of())
        : Closed.page(link.state());
  }

  private EntryLinks.Link link(String token) {
    return links.of(token, EntryLinks.Kind.INVITATION).orElseThrow(NotFound::new);
  }

  private static ModelAndView form(EntryLinks.Link link, String token, @Nullable SignedIn who, Map<String, String> typed,
      Map<String, String> errors) {
    ModelAndView page = new ModelAndView("people/join", new HashMap<>(Map.of("club", link.club(), "as",
        Objects.requireNonNull(link.role()).word(), "whose", link.lifterId() == null ? "" : link.name(), "token", token, "typed", typed,
        "errors", errors)));
    page.addObject("who", who);
    if (!errors.isEmpty()) {
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    return page;
  }

  /** Somebody new. */
  @PostMapping("/join/{token}")
  ModelAndView join(@PathVariable String token, @RequestParam Map<String, String> typed, HttpServletRequest request,
      HttpServletResponse response) {
    EntryLinks.Link link = link(token);
    if (link.state() != EntryLinks.State.OPEN) {
      return Closed.page(link.state());
    }
    // a lifter's name is their coach's matter: it stands on plans and cards
    String name = link.lifterId() == null ? typed.getOrDefault("name", "").strip() : link.name();
    String email = typed.getOrDefault("email", "").strip();
    Map<String, String> errors = new LinkedHashMap<>();
    if (name.isEmpty() || name.length() > MOST_NAME) {
      errors.put("name", "Write your name, at most " + MOST_NAME + " characters.");
    }
    SignInDetails.check(email, errors);
    passwords.wrong(typed.getOrDefault("password", ""), List.of(name, email, link.club()))
        .ifPresent(sentence -> errors.put("password", sentence));
    if (!errors.containsKey("email") && !persons.of(email).isEmpty()) {
      errors.put("email", "Somebody signs in with this address already. If it is you, use the form below; else take another address.");
    }
    if (!errors.isEmpty()) {
      return form(link, token, null, typed, errors);
    }
    return joining.asNew(link, name, email, typed.getOrDefault("password", ""))
        .map(who -> new ModelAndView("redirect:" + entrance.admit(request, response, who)))
        .orElseGet(() -> Closed.page(EntryLinks.State.USED));
  }

  /** Somebody who signs in already: with their password, or because they are signed in. */
  @PostMapping("/join/{token}/known")
  ModelAndView known(@PathVariable String token, @RequestParam Map<String, String> typed, @AuthenticationPrincipal @Nullable SignedIn who,
      HttpServletRequest request, HttpServletResponse response) {
    EntryLinks.Link link = link(token);
    if (link.state() != EntryLinks.State.OPEN) {
      return Closed.page(link.state());
    }
    String email = typed.getOrDefault("known", "").strip();
    boolean here = who != null && email.isEmpty();
    if (!here && !limits.reserve(email, request.getRemoteAddr(), false)) {
      return form(link, token, who, typed, Map.of("known", "Too many attempts failed. Wait a quarter of an hour, then try again."));
    }
    Long person = here ? Long.valueOf(who.personId()) : persons.of(email).stream()
        .filter(one -> persons.matches(one, typed.getOrDefault("current", ""))).map(Persons.Person::id).findFirst().orElse(null);
    if (person == null) {
      return form(link, token, who, typed,
          Map.of("known", "The e-mail and the password do not belong together. Check both and try again."));
    }
    if (!here) {
      limits.succeeded(email, request.getRemoteAddr());
    }
    if (joining.isIn(link, person)) {
      return form(link, token, who, typed, Map.of("known", "You are in this club already. Sign in as you do."));
    }
    SignedIn joined = joining.asKnown(link, person).orElse(null);
    if (joined == null) {
      return Closed.page(EntryLinks.State.USED);
    }
    if (here) {
      entrance.change(request, response, who, joined);
      return new ModelAndView("redirect:/");
    }
    // a second step is asked for where it is always asked
    return new ModelAndView("redirect:" + (steps.has(person) ? "/login" : entrance.admit(request, response, joined)));
  }
}
