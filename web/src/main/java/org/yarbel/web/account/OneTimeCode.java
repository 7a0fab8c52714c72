package org.yarbel.web.account;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.web.util.UriUtils;

/**
 * Codes that an application on a phone reckons from a shared secret and the time: RFC 6238 with what its authors take as usual, HMAC-SHA-1
 * (as in RFC 4226), six digits, steps of {@value #STEP_SECONDS} seconds. One step before and after the moment counts too.
 */
final class OneTimeCode {
  static final int STEP_SECONDS = 30;
  private static final int DIGITS = 6;
  private static final int MODULUS = 1_000_000;
  /** As RFC 4226, section 4, recommends. */
  private static final int SECRET_BYTES = 20;
  private static final SecureRandom RANDOM = new SecureRandom();

  private OneTimeCode() {}

  /** A new secret, in Base32 as people type it. */
  static String secret() {
    byte[] bytes = new byte[SECRET_BYTES];
    RANDOM.nextBytes(bytes);
    return new Base32().encodeToString(bytes);
  }

  /** The step of a moment. */
  static long step(Instant moment) {
    return Math.floorDiv(moment.getEpochSecond(), STEP_SECONDS);
  }

  /** The code of a step, with the zeros before it. */
  static String of(String secret, long step) {
    try {
      Mac mac = Mac.getInstance("HmacSHA1");
      mac.init(new SecretKeySpec(new Base32().decode(secret), "RAW"));
      byte[] hash = mac.doFinal(ByteBuffer.allocate(Long.BYTES).putLong(step).array());
      // dynamic truncation, RFC 4226 section 5.3
      int number = ByteBuffer.wrap(hash).getInt(hash[hash.length - 1] & 0xf) & Integer.MAX_VALUE;
      return String.format("%0" + DIGITS + "d", number % MODULUS);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The step a code is of, around a moment and after one that was used; empty when it is none. */
  static OptionalLong stepOf(String secret, String code, Instant moment, long used) {
    String digits = code.replaceAll("\\s", "");
    long now = step(moment);
    return LongStream.rangeClosed(now - 1, now + 1).filter(step -> step > used)
        .filter(step -> java.security.MessageDigest.isEqual(bytes(of(secret, step)), bytes(digits))).findFirst();
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  /** The address that a phone's application takes the secret from. */
  static String address(String secret, String club, String email) {
    String issuer = UriUtils.encode("Yarbel " + club, StandardCharsets.UTF_8);
    return "otpauth://totp/" + issuer + ":" + UriUtils.encode(email, StandardCharsets.UTF_8) + "?secret=" + secret + "&issuer=" + issuer;
  }
}
