package org.yarbel.web.club;

import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Whose lifters a coach looks at: their own and nobody's, or the whole club's when they say so. A request learns it with its sign-in;
 * without a request it is everybody's.
 */
@Component
public class OwnLifters {
  /** In queries: everybody's. */
  public static final long EVERYBODY = 0;

  private static final String SEEN = OwnLifters.class.getName() + ".seen";

  /**
   * What a coach has and wants.
   *
   * @param any whether any lifter is theirs
   * @param all whether they want to see everybody's
   */
  public record Seen(long coach, boolean any, boolean all) {}

  /** A request has learned it. */
  public void seen(Seen what) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(SEEN, what, RequestAttributes.SCOPE_REQUEST);
    }
  }

  private static Seen now() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request != null && request.getAttribute(SEEN, RequestAttributes.SCOPE_REQUEST) instanceof Seen seen ? seen
        : new Seen(EVERYBODY, false, true);
  }

  /** Whether whoever asks has lifters of their own, so that there is something to choose. */
  public boolean any() {
    return now().any();
  }

  /** The account whose lifters are looked at; {@link #EVERYBODY} for all of the club. */
  public long coach() {
    Seen seen = now();
    return seen.any() && !seen.all() ? seen.coach() : EVERYBODY;
  }
}
