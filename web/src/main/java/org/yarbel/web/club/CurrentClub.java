package org.yarbel.web.club;

import java.util.Map;
import java.util.function.Supplier;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.yarbel.web.who.SignedIn;

/** The club every query is bound to: that of who is signed in, or the one a background job was started for. */
@Component
public class CurrentClub implements CurrentTenantIdentifierResolver<Long>, HibernatePropertiesCustomizer {
  /** No club: no row belongs to it. */
  private static final long NONE = 0;

  private static final ThreadLocal<@Nullable Long> CHOSEN = new ThreadLocal<>();

  /** Runs something for a club without anybody being signed in; used before a transaction begins. */
  public <T> T within(long clubId, Supplier<T> work) {
    Long before = CHOSEN.get();
    CHOSEN.set(clubId);
    try {
      return work.get();
    } finally {
      CHOSEN.set(before);
    }
  }

  /** Runs something for a club. */
  public void within(long clubId, Runnable work) {
    within(clubId, () -> {
      work.run();
      return true;
    });
  }

  /** The id of the club in force, 0 for none. */
  public long id() {
    return resolveCurrentTenantIdentifier();
  }

  @Override
  public Long resolveCurrentTenantIdentifier() {
    Long chosen = CHOSEN.get();
    if (chosen != null) {
      return chosen;
    }
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    return authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn
        ? signedIn.clubId()
        : NONE;
  }

  @Override
  public boolean validateExistingCurrentSessions() {
    return true;
  }

  @Override
  public void customize(Map<String, Object> properties) {
    properties.put(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
  }
}
