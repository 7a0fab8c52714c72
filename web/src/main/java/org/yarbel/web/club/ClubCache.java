package org.yarbel.web.club;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * What a club seldom changes (its name and zone, its places, lifts and thresholds), kept for as long as the club's revision
 * stands. The database counts the revision; a request learns it with its sign-in, so that no node shows what another has changed.
 * Without a request, and after something was written in one, everything is read anew.
 */
@Component
public class ClubCache {
  private static final String REVISION = ClubCache.class.getName() + ".revision";
  private static final int MOST = 2_000;

  private final Cache<Key, Object> kept = Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(Duration.ofHours(1)).build();
  private final CurrentClub club;

  ClubCache(CurrentClub club) {
    this.club = club;
  }

  /** What may be kept of a club. */
  public enum What {
    ITSELF,
    LIFTS,
    PLACES,
    THRESHOLDS
  }

  private record Key(long club, long revision, What what) {}

  /** The revision of a club, as the request has learned it. */
  private record SeenRevision(long club, long revision) {}

  /** What is kept, or what is read in its place. It must not be changed. */
  @SuppressWarnings("unchecked")
  public <T> T of(What what, Supplier<T> read) {
    SeenRevision seen = seen();
    if (seen == null || seen.club() != club.id()) {
      return read.get();
    }
    Key key = new Key(seen.club(), seen.revision(), what);
    Object there = kept.getIfPresent(key);
    if (there == null) {
      // read outside of the cache's lock: it asks the database
      there = read.get();
      kept.put(key, there);
    }
    return (T) there;
  }

  /** A request has learned the revision of the club it asks for. */
  public void seen(long clubId, long revision) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(REVISION, new SeenRevision(clubId, revision), RequestAttributes.SCOPE_REQUEST);
    }
  }

  /** Something was written: what is asked for in the same request is read anew. */
  public void written() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.removeAttribute(REVISION, RequestAttributes.SCOPE_REQUEST);
    }
  }

  private static @Nullable SeenRevision seen() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request == null ? null : (SeenRevision) request.getAttribute(REVISION, RequestAttributes.SCOPE_REQUEST);
  }
}
