package org.yarbel.web.people;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.yarbel.web.account.SignInDetails;
import org.yarbel.web.account.SignIns;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.edge.QrCode;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/** The people of the club: invitations, roles, links for forgotten passwords, whose lifters are whose. */
@Controller
class PeopleController {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
  private static final int MOST_NAME = 80;
  private static final int MOST_HANDED = 500;

  private final People people;
  private final EntryLinks links;
  private final Letters letters;
  private final SignIns signIns;
  private final ClubClock clock;
  private final SecurityLog log;

  PeopleController(People people, EntryLinks links, Letters letters, SignIns signIns, ClubClock clock, SecurityLog log) {
    this.people = people;
    this.links = links;
    this.letters = letters;
    this.signIns = signIns;
    this.clock = clock;
    this.log = log;
  }

  /** Somebody as the list shows them. */
  record MemberView(People.Member member, String seen, boolean you, boolean staff) {}

  /** An open invitation. */
  record InvitationView(long id, String whom, String as, String until) {}

  /** A link that was just made, which is shown this once. */
  record LinkView(String address, String what, String until, QrCode qr, boolean mailed) implements java.io.Serializable {
    static LinkView of(String address, String what, String until, boolean mailed) {
      return new LinkView(address, what, until, QrCode.of(address), mailed);
    }
  }

  @GetMapping("/people")
  ModelAndView page(@AuthenticationPrincipal SignedIn who) {
    return new ModelAndView("people/page", shown(who, Map.of(), Map.of()));
  }

  private Map<String, Object> shown(SignedIn who, Map<String, String> typed, Map<String, String> errors) {
    List<People.Member> all = people.of(who.clubId());
    List<MemberView> members = all.stream().map(one -> view(one, who)).toList();
    Map<String, Object> model = new HashMap<>();
    model.put("staff", members.stream().filter(MemberView::staff).toList());
    model.put("lifters", members.stream().filter(one -> !one.staff()).toList());
    model.put("unsigned", people.unsigned(who.clubId()));
    model.put("invitations", links.open(who.clubId()).stream().map(this::invitation).toList());
    model.put("coaches", people.coaches(who.clubId()));
    model.put("ofNobody", people.liftersOf(who.clubId(), null).size());
    model.put("owner", who.owns());
    model.put("typed", typed);
    model.put("errors", errors);
    return model;
  }

  private MemberView view(People.Member one, SignedIn who) {
    return new MemberView(one, one.seen() == null ? "never" : time(one.seen()), one.id() == who.accountId(), one.role().staff());
  }

  private String time(@Nullable Instant at) {
    return at == null ? "never" : TIME.format(clock.local(at));
  }

  private InvitationView invitation(EntryLinks.Link link) {
    String whom = link.name().isEmpty() ? link.email() : link.name();
    return new InvitationView(link.id(), whom.isEmpty() ? "somebody" : whom, Objects.requireNonNull(link.role()).word(),
        time(link.expires()));
  }

  /** Makes an invitation. Coaches invite lifters; owners invite everybody. */
  @PostMapping("/people/invitations")
  ModelAndView invite(@RequestParam Map<String, String> typed, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Map<String, String> errors = new LinkedHashMap<>();
    String email = typed.getOrDefault("email", "").strip();
    Role role = role(typed.getOrDefault("role", ""));
    Long lifter = role == Role.LIFTER ? number(typed.get("lifter")) : null;
    String name = role == Role.LIFTER ? people.lifter(who.clubId(), lifter == null ? 0 : lifter).orElse("") : typed.getOrDefault("name", "")
        .strip();
    if (role == null || role != Role.LIFTER && !who.owns()) {
      throw new AccessDeniedException("only owners let staff in");
    }
    check(role, name, email, errors);
    if (role == Role.LIFTER && lifter != null && !name.isEmpty() && people.unsigned(who.clubId()).stream()
        .noneMatch(one -> one.id() == lifter)) {
      errors.put("lifter", name + " signs in already. If the password is forgotten, make a link for another.");
    }
    if (links.full(who.clubId())) {
      errors.put("email", "There are " + EntryLinks.MOST_OPEN + " open invitations. Take some back first.");
    }
    if (!errors.isEmpty()) {
      return refused(who, typed, errors);
    }
    String token = links.invite(who.clubId(), new EntryLinks.Invited(role, lifter, name, email), who.accountId());
    String address = links.join(token);
    if (!email.isEmpty()) {
      letters.write(who.clubId(), LetterTexts.invitation(email, who.name(), role, address));
    }
    log.note(Event.INVITED, who.clubId(), who.accountId(), (name.isEmpty() ? "somebody" : name) + " as " + role.word());
    flash.addFlashAttribute("link", LinkView.of(address, "Invitation for " + (name.isEmpty() ? "somebody" : name) + " as " + role.word(),
        time(Instant.now().plus(EntryLinks.INVITATION)), !email.isEmpty() && letters.byMail()));
    return new ModelAndView("redirect:" + ("lifter".equals(typed.get("from")) ? "/lifters/" + lifter : "/people"));
  }

  private static void check(Role role, String name, String email, Map<String, String> errors) {
    if (role == Role.LIFTER && name.isEmpty()) {
      errors.put("lifter", "Choose whose link it is.");
    } else if (name.isEmpty() || name.length() > MOST_NAME) {
      errors.put("name", "Write a name, at most " + MOST_NAME + " characters.");
    }
    if (!email.isEmpty()) {
      SignInDetails.check(email, errors);
    }
  }

  private static @Nullable Role role(String word) {
    return Arrays.stream(Role.values()).filter(one -> one.name().equals(word)).findFirst().orElse(null);
  }

  private static @Nullable Long number(@Nullable String text) {
    return text != null && text.matches("\\d{1,18}") ? Long.valueOf(text) : null;
  }

  private ModelAndView refused(SignedIn who, Map<String, String> typed, Map<String, String> errors) {
    ModelAndView page = new ModelAndView("people/page", shown(who, typed, errors));
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    return page;
  }

  @PostMapping("/people/invitations/{id}/revoke")
  String revoke(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    EntryLinks.Link link = links.open(who.clubId()).stream().filter(one -> one.id() == id).findFirst().orElseThrow(NotFound::new);
    if (link.role() != Role.LIFTER && !who.owns()) {
      throw new AccessDeniedException("an owner's invitation");
    }
    links.revoke(who.clubId(), id);
    log.note(Event.LINK_REVOKED, who.clubId(), who.accountId(), "invitation of " + invitation(link).whom());
    flash.addFlashAttribute("said", "The link lets nobody in any more. Invite again at any time.");
    return "redirect:/people";
  }

  /** Somebody, and where they are signed in. */
  @GetMapping("/people/accounts/{id}")
  ModelAndView one(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
    People.Member one = people.one(who.clubId(), id);
    ModelAndView page = new ModelAndView("people/one", "one", view(one, who));
    page.addObject("devices", signIns.at(who.clubId(), id).stream().map(device -> new DeviceView(device.browser() + ", from "
        + device.address(), time(device.begun()), time(device.seen()))).toList());
    page.addObject("owner", who.owns());
    page.addObject("may", mayChange(who, one));
    page.addObject("onlyHere", one.clubs() == 1);
    page.addObject("lastOwner", people.lastOwner(who.clubId(), one));
    page.addObject("roles", EnumSet.of(Role.OWNER, Role.COACH, Role.ASSISTANT));
    return page;
  }

  /** A device as it is shown. */
  record DeviceView(String words, String since, String seen) {}

  /** Coaches look after lifters' and assistants' sign-ins, owners after everybody's. */
  private static boolean mayChange(SignedIn who, People.Member one) {
    return who.owns() || one.role() == Role.LIFTER || one.role() == Role.ASSISTANT;
  }

  private People.Member changed(SignedIn who, long id) {
    People.Member one = people.one(who.clubId(), id);
    if (!mayChange(who, one)) {
      throw new AccessDeniedException("an owner's matter");
    }
    return one;
  }

  @PostMapping("/people/accounts/{id}/disabled")
  String disable(@PathVariable long id, @RequestParam(defaultValue = "true") boolean disabled, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    People.Member one = changed(who, id);
    String done = one.name() + (disabled ? " is signed out everywhere and cannot sign in. What was logged stays." : " can sign in again.");
    flash.addFlashAttribute("said", people.disable(who, id, disabled) ? done
        : one.name() + " is the only owner. Make somebody else an owner first.");
    return "redirect:/people/accounts/" + id;
  }

  @PostMapping("/people/accounts/{id}/sign-out")
  String signOut(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    changed(who, id);
    int ended = people.signOut(who, id);
    flash.addFlashAttribute("said", ended == 0 ? "Nowhere signed in." : "Signed out everywhere. What waits on a phone stays there and is "
        + "sent after the next sign-in.");
    return "redirect:/people/accounts/" + id;
  }

  /** A link for another password. Of somebody who is in another club too, it opens that too: only they themselves can ask for one. */
  @PostMapping("/people/accounts/{id}/password")
  String password(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    People.Member one = changed(who, id);
    if (one.clubs() > 1) {
      flash.addFlashAttribute("said", one.name() + " is in another club too: a link for the password goes to their own mail only. They ask "
          + "for it on the sign-in page.");
    } else {
      String token = links.forPassword(who.clubId(), one.personId(), who.accountId(), EntryLinks.PASSWORD);
      log.note(Event.LINK_MADE, who.clubId(), who.accountId(), "for " + one.name());
      flash.addFlashAttribute("link", LinkView.of(links.password(token), "Another password for " + one.name(),
          time(Instant.now().plus(EntryLinks.PASSWORD)), false));
    }
    return "redirect:/people/accounts/" + id;
  }

  @PostMapping("/people/roles/{id}")
  String become(@PathVariable long id, @RequestParam(defaultValue = "") String role, @AuthenticationPrincipal SignedIn who,
      RedirectAttributes flash) {
    People.Member one = people.one(who.clubId(), id);
    Role wanted = role(role);
    if (wanted == null || !wanted.staff() || one.lifterId() != null) {
      throw new NotFound();
    }
    boolean done = people.become(who, id, wanted);
    flash.addFlashAttribute("said", done ? one.name() + " is " + article(wanted) + " now, and signs in again."
        : one.name() + " is the only owner. Make somebody else an owner first.");
    return done && id == who.accountId() && wanted != Role.OWNER ? "redirect:/" : "redirect:/people/accounts/" + id;
  }

  private static String article(Role role) {
    return (role == Role.COACH ? "a " : "an ") + role.word();
  }

  /** Takes away the second step of somebody who lost it. */
  @PostMapping("/people/roles/{id}/steps")
  String forget(@PathVariable long id, @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    People.Member one = people.one(who.clubId(), id);
    if (one.clubs() > 1) {
      flash.addFlashAttribute("said", one.name() + " is in another club too: whoever looks after the machine takes the second step away.");
    } else {
      people.forgetSteps(who, one);
      flash.addFlashAttribute("said", one.name() + " signs in with the password alone until they choose another second step.");
    }
    return "redirect:/people/accounts/" + id;
  }

  /** Hands lifters over: all of a coach, or those that are named. */
  @PostMapping("/people/hand-over")
  String handOver(@RequestParam Map<String, String> typed, @RequestParam(required = false) @Nullable List<Long> lifter,
      @AuthenticationPrincipal SignedIn who, RedirectAttributes flash) {
    Long to = whose(who, typed.getOrDefault("to", ""));
    boolean one = "lifter".equals(typed.get("from"));
    Long before = one ? null : whose(who, typed.getOrDefault("of", ""));
    List<Long> moved = lifter == null ? people.liftersOf(who.clubId(), before) : lifter.stream().limit(MOST_HANDED).toList();
    if (one && moved.size() == 1) {
      before = people.coachOf(who.clubId(), moved.get(0)).orElse(null);
    }
    int count = people.handOver(who, moved, to);
    String name = to == null ? "nobody: everybody sees them" : people.one(who.clubId(), to).name();
    flash.addFlashAttribute("said", count == 0 ? "Nothing was different." : count + (count == 1 ? " lifter" : " lifters")
        + " handed over to " + name + ".");
    if (count > 0) {
      flash.addFlashAttribute("handBack", Map.of("to", before == null ? "" : before.toString(), "lifters", moved));
    }
    return one && moved.size() == 1 ? "redirect:/lifters/" + moved.get(0) : "redirect:/people";
  }

  private @Nullable Long whose(SignedIn who, String typed) {
    if (typed.isEmpty()) {
      return null;
    }
    Long id = number(typed);
    Set<Long> coaches = people.coaches(who.clubId()).stream().map(People.Member::id).collect(Collectors.toSet());
    return Optional.ofNullable(id).filter(coaches::contains).orElseThrow(NotFound::new);
  }

  /** Letters of the club, for owners. */
  @GetMapping("/people/letters")
  ModelAndView outbox(@AuthenticationPrincipal SignedIn who) {
    ModelAndView page = new ModelAndView("people/letters", "byMail", letters.byMail());
    page.addObject("letters", letters.of(who.clubId()).stream().map(one -> new LetterView(one.recipient(), one.subject(), one.body(),
        time(one.made()), one.sent() == null ? "" : time(one.sent()), one.failed())).toList());
    return page;
  }

  /** A letter as it is shown. */
  record LetterView(String recipient, String subject, String body, String made, String sent, String failed) {}
}
