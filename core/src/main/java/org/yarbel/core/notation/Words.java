package org.yarbel.core.notation;

import java.util.ArrayList;
import java.util.List;

/** The words of the notation, and which of them was perhaps meant. */
final class Words {
  private static final List<String> BEHIND_A_LOAD = List.of("tested", "est", "tm", "goal", "today", "top", "of", "each");
  private static final List<String> KNOWN = known();

  private Words() {}

  private static List<String> known() {
    List<String> known = new ArrayList<>(List.of("amrap", "bw"));
    known.addAll(BEHIND_A_LOAD);
    for (Option.Kind kind : Option.Kind.values()) {
      known.add(kind.word());
    }
    for (WorkKind kind : WorkKind.values()) {
      known.add(kind.word());
    }
    return List.copyOf(known);
  }

  /** Whether a part cannot begin with this word but go on with it. */
  static boolean standsAfterWork(String word) {
    return word.equals("bw") || Option.Kind.ofWord(word).isPresent();
  }

  /** The answer to a word that nobody knows. */
  static Stop unknown(Span span, String word) {
    if (BEHIND_A_LOAD.contains(word)) {
      return new Stop(span, "The word " + word + " stands right behind its load: write " + switch (word) {
        case "each" -> "-5% each.";
        case "of" -> "60% of deadlift.";
        default -> "75% " + word + ".";
      });
    }
    String said = word.length() <= 20 ? word : word.substring(0, 20) + "…";
    String hint = "";
    for (String known : KNOWN) {
      if (near(word, known)) {
        hint = " Maybe " + (known.equals("amrap") ? "AMRAP" : known) + " was meant?";
        break;
      }
    }
    return new Stop(span, "The word '" + said + "' is not known here." + hint);
  }

  /** One letter wrong, missing, too many or two swapped. */
  private static boolean near(String word, String known) {
    if (Math.abs(word.length() - known.length()) > 1 || known.length() < 3) {
      return false;
    }
    int same = 0;
    while (same < Math.min(word.length(), known.length()) && word.charAt(same) == known.charAt(same)) {
      same++;
    }
    int tail = 0;
    while (tail < Math.min(word.length(), known.length()) - same
        && word.charAt(word.length() - 1 - tail) == known.charAt(known.length() - 1 - tail)) {
      tail++;
    }
    int left = Math.max(word.length(), known.length()) - same - tail;
    return left <= 1 || left == 2 && word.length() == known.length()
        && word.charAt(same) == known.charAt(same + 1) && word.charAt(same + 1) == known.charAt(same);
  }
}
