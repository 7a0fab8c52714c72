package org.yarbel.web.account;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Hashes passwords, a few at once: each takes {@value #MEBIBYTES_EACH} MiB of memory and much of a processor for a moment. The
 * rest wait shortly in a short queue, then are refused with {@link TooBusy}, so that a burst of sign-ins cannot put the
 * application out.
 */
final class Hashing implements PasswordEncoder {
  /** Argon2id with 16 MiB, as Spring Security's defaults of 5.8 have it. */
  static final int MEBIBYTES_EACH = 16;
  static final int AT_ONCE = 2;
  static final int WAITING = 10;
  private static final Duration PATIENCE = Duration.ofSeconds(4);

  private final PasswordEncoder encoder;
  private final Semaphore places = new Semaphore(AT_ONCE, true);

  Hashing(PasswordEncoder encoder) {
    this.encoder = encoder;
  }

  /** Thrown when too many passwords are being looked at. */
  static final class TooBusy extends AuthenticationServiceException {
    private static final long serialVersionUID = 1;

    TooBusy() {
      super("Too many passwords are being looked at");
    }
  }

  private <T> T inTurn(Supplier<T> work) {
    try {
      if (places.getQueueLength() >= WAITING || !places.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
        throw new TooBusy();
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new TooBusy();
    }
    try {
      return work.get();
    } finally {
      places.release();
    }
  }

  @Override
  public @Nullable String encode(@Nullable CharSequence raw) {
    return inTurn(() -> encoder.encode(raw));
  }

  @Override
  public boolean matches(@Nullable CharSequence raw, @Nullable String encoded) {
    return inTurn(() -> encoder.matches(raw, encoded));
  }

  @Override
  public boolean upgradeEncoding(@Nullable String encoded) {
    return encoder.upgradeEncoding(encoded);
  }
}
