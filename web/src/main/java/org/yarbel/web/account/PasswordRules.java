package org.yarbel.web.account;

import com.nulabinc.zxcvbn.StandardDictionaries;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What a password must be: of {@value #LEAST} to {@value #MOST} characters, not among the commonest, not made of the words
 * somebody is known by, and not guessed in a few tries. No rule asks for signs of a kind: length and rarity are what count (NIST
 * SP 800-63B, 5.1.1.2). The list of the commonest and the estimate are zxcvbn's (D. L. Wheeler, USENIX Security 2016).
 */
@Component
public class PasswordRules {
  static final int LEAST = 10;
  static final int MOST = 200;
  private static final int COMMONEST = 10_000;
  /** Longer ones are told apart by their beginning; the estimate of a long one takes long. */
  private static final int MEASURED = 60;
  private static final int LEAST_SCORE = 2;
  private static final int OWN_WORD = 4;

  private final Zxcvbn estimate = new Zxcvbn();
  private final Set<String> commonest;

  PasswordRules() {
    try {
      commonest = StandardDictionaries.PASSWORDS_LOADER.load().getFrequencies().stream()
          .limit(COMMONEST).collect(Collectors.toUnmodifiableSet());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * What is wrong with a password, in a sentence.
   *
   * @param own the words somebody is known by: name, e-mail address, club
   */
  public Optional<String> wrong(String password, List<String> own) {
    if (password.length() < LEAST || password.length() > MOST) {
      return Optional.of("The password must have " + LEAST + " to " + MOST + " characters but has " + password.length() + ".");
    }
    String plain = password.toLowerCase(Locale.ROOT);
    if (commonest.contains(plain) || plain.chars().distinct().count() < 4) {
      return Optional.of("This password is among the first that are tried. Take another, such as four words that have nothing "
          + "to do with each other.");
    }
    List<String> words = own.stream().flatMap(text -> Stream.concat(Stream.of(text), Arrays.stream(text.split("[^\\p{L}\\p{N}]+"))))
        .map(text -> text.strip().toLowerCase(Locale.ROOT)).filter(text -> text.length() >= OWN_WORD).distinct()
        .sorted(Comparator.comparingInt(String::length).reversed()).toList();
    String rest = plain;
    for (String word : words) {
      rest = rest.replace(word, "");
    }
    if (rest.length() < LEAST / 2) {
      return Optional.of("This password is made of your name, address or club. Take words that have nothing to do with you.");
    }
    if (estimate.measure(password.substring(0, Math.min(MEASURED, password.length())), words).getScore() < LEAST_SCORE) {
      return Optional.of("This password is guessed quickly. Make it longer, such as four words that have nothing to do with each other.");
    }
    return Optional.empty();
  }
}
