package org.yarbel.web.people;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.PasswordRules;
import org.yarbel.web.account.Persons;
import org.yarbel.web.account.SignInDetails;
import org.yarbel.web.account.SignInLimits;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** A password is forgotten: a link is asked for, and another one chosen by it. Whether an address is known is told to nobody. */
@Controller
class ForgottenController {
  private static final int LETTERS_AN_HOUR = 3;
  private static final String COUNTED_AS = "a password forgotten";

  private final EntryLinks links;
  private final Letters letters;
  private final Persons persons;
  private final Accounts accounts;
  private final Resets resets;
  private final PasswordRules rules;
  private final SignInLimits limits;

  ForgottenController(EntryLinks links, Letters letters, Persons persons, Accounts accounts, Resets resets, PasswordRules rules,
      SignInLimits limits) {
    this.links = links;
    this.letters = letters;
    this.persons = persons;
    this.accounts = accounts;
    this.resets = resets;
    this.rules = rules;
    this.limits = limits;
  }

  @GetMapping("/password")
  ModelAndView page() {
    return asking("", Map.of());
  }

  private ModelAndView asking(String email, Map<String, String> errors) {
    ModelAndView page = new ModelAndView("people/forgotten", new HashMap<>(Map.of("email", email, "errors", errors, "byMail",
        letters.byMail())));
    if (!errors.isEmpty()) {
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    return page;
  }

  @PostMapping("/password")
  ModelAndView ask(@RequestParam(defaultValue = "") String email, HttpServletRequest request, RedirectAttributes flash) {
    Map<String, String> errors = new HashMap<>();
    SignInDetails.check(email.strip(), errors);
    if (errors.isEmpty() && !limits.reserve(COUNTED_AS, request.getRemoteAddr(), false)) {
      errors.put("email", "Links were asked for too often from here. Wait a quarter of an hour, then try again.");
    }
    if (!errors.isEmpty()) {
      return asking(email, errors);
    }
    String to = Accounts.key(email);
    if (letters.lately(to) < LETTERS_AN_HOUR) {
      persons.of(to).forEach(person -> write(person, to));
    }
    flash.addFlashAttribute("said", letters.byMail() ? "If somebody signs in with this address, a link for another password is on its way "
        + "to it. It counts for an hour." : "This machine sends no mail. The request was noted for the owners of your club; or ask your "
        + "coach for a link.");
    return new ModelAndView("redirect:/password");
  }

  /** Without a server for mail its owners read the letter: it must open their club alone. */
  private void write(Persons.Person person, String to) {
    List<SignedIn> in = accounts.ofPerson(person.id());
    if (!in.isEmpty() && (letters.byMail() || persons.clubs(person.id()) == 1)) {
      long club = in.get(0).clubId();
      resets.ask(club, person.id(), to, in.get(0).accountId());
    }
  }

  @GetMapping("/password/{token}")
  ModelAndView choose(@PathVariable String token) {
    EntryLinks.Link link = link(token);
    return link.state() == EntryLinks.State.OPEN ? choosing(link, token, Map.of()) : Closed.page(link.state());
  }

  private EntryLinks.Link link(String token) {
    return links.of(token, EntryLinks.Kind.PASSWORD).orElseThrow(NotFound::new);
  }

  private ModelAndView choosing(EntryLinks.Link link, String token, Map<String, String> errors) {
    ModelAndView page = new ModelAndView("people/choose", Map.of("token", token, "errors", errors, "email", person(link).email()));
    if (!errors.isEmpty()) {
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    }
    return page;
  }

  private Persons.Person person(EntryLinks.Link link) {
    return persons.one(link.personId() == null ? 0 : link.personId()).orElseThrow(NotFound::new);
  }

  @PostMapping("/password/{token}")
  ModelAndView chosen(@PathVariable String token, @RequestParam(defaultValue = "") String password, RedirectAttributes flash) {
    EntryLinks.Link link = link(token);
    if (link.state() != EntryLinks.State.OPEN) {
      return Closed.page(link.state());
    }
    Persons.Person person = person(link);
    List<String> own = accounts.memberships(person.id()).stream().map(Accounts.Membership::name).toList();
    String wrong = rules.wrong(password, java.util.stream.Stream.concat(own.stream(),
        java.util.stream.Stream.of(person.email(), link.club()))
        .toList()).orElse(null);
    if (wrong != null) {
      return choosing(link, token, Map.of("password", wrong));
    }
    if (!resets.choose(link, password)) {
      return Closed.page(EntryLinks.State.USED);
    }
    flash.addFlashAttribute("message", "The password is changed, and everywhere you are signed out. Sign in with the new one.");
    return new ModelAndView("redirect:/login");
  }
}
