package org.yarbel.web.find;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpMethod;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.access.WebInvocationPrivilegeEvaluator;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** The pages there are, of those that open for whoever looks for one. */
@Component
@Order(5)
class FindablePages implements Findable {
  private static final List<Found> PAGES = List.of(page("Floor", "/", "who trains today"),
      page("New lifter", "/lifters/new", "take somebody on"),
      page("Groups", "/groups", "lifters written together"), page("Contests", "/contests", "dates, rules, who goes"),
      page("Library", "/library", "sessions, weeks, blocks to use again"),
      page("Methods", "/methods", "what writes the weeks, in plain words"),
      page("Lifts", "/lifts", "the catalogue and your own"), page("Checks", "/checks", "what the checks look for, and their figures"),
      page("Kit room", "/kit", "bars, plates, implements"), page("Workbench", "/workbench", "quick sums"),
      page("People", "/people", "who signs in, invitations, whose lifters"), page("Record", "/record", "what happened to doors and rights"),
      page("House", "/house", "address, backups, all of the club out and in"), page("Letters", "/people/letters", "invitations by mail"),
      page("Keys", "/keys", "all keys"), page("My account", "/account", "your password"));

  private final WebInvocationPrivilegeEvaluator doors;

  FindablePages(WebInvocationPrivilegeEvaluator doors) {
    this.doors = doors;
  }

  private static Found page(String name, String address, String more) {
    return new Found("page", name, address, more);
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return PAGES.stream().filter(page -> name.in(page.name()) || name.in(page.more())).filter(page -> opens(page.address())).toList();
  }

  private boolean opens(String address) {
    return doors.isAllowed("", address, HttpMethod.GET.name(), SecurityContextHolder.getContext().getAuthentication());
  }
}
