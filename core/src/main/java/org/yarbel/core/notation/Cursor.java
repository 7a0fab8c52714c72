package org.yarbel.core.notation;

/** A place in a typed line. It reads every spelling of a sign as one and keeps the places of the typed text. */
final class Cursor {
  private static final char END = '\0';

  private final String typed;
  private final char[] read;
  private int at;

  Cursor(String typed) {
    this.typed = typed;
    this.read = new char[typed.length()];
    for (int i = 0; i < read.length; i++) {
      read[i] = plain(typed.charAt(i));
    }
  }

  // One character for one, so that places stay; only ASCII letters change their case.
  private static char plain(char c) {
    if (c >= 'A' && c <= 'Z') {
      return (char) (c + 'a' - 'A');
    }
    return switch (c) {
      case '−', '–' -> '-';
      case END -> '\u0001';
      default -> Character.isWhitespace(c) || Character.isSpaceChar(c) ? ' ' : c;
    };
  }

  static boolean digit(char c) {
    return c >= '0' && c <= '9';
  }

  static boolean letter(char c) {
    return c >= 'a' && c <= 'z';
  }

  int length() {
    return read.length;
  }

  int at() {
    return at;
  }

  boolean atEnd() {
    return at == read.length;
  }

  /** The character at the cursor, in small letters, or NUL at the end. */
  char peek() {
    return atEnd() ? END : read[at];
  }

  void backTo(int place) {
    at = place;
  }

  /** Passes over blanks; always true, so that it can stand in a condition. */
  boolean blanks() {
    while (!atEnd() && read[at] == ' ') {
      at++;
    }
    return true;
  }

  boolean match(char c) {
    if (peek() != c) {
      return false;
    }
    at++;
    return true;
  }

  boolean matchTimes() {
    return match('x') || match('×');
  }

  /** Passes over blanks and this whole word, or stays where it was. */
  boolean matchWord(String word) {
    int back = at;
    blanks();
    if (letter(peek()) && word().equals(word)) {
      return true;
    }
    at = back;
    return false;
  }

  /** The letters from here on. */
  String word() {
    int from = at;
    while (letter(peek())) {
      at++;
    }
    return new String(read, from, at - from);
  }

  /** The lift key from here on: letters, digits and dashes. */
  String liftKey() {
    int from = at;
    while (letter(peek()) || digit(peek()) || peek() == '-') {
      at++;
    }
    return new String(read, from, at - from);
  }

  /** The digits and x from here on. */
  String tempoRun() {
    int from = at;
    while (digit(peek()) || peek() == 'x') {
      at++;
    }
    return new String(read, from, at - from);
  }

  /** The digits from here on with a decimal point, a comma read as one. */
  String numberText() {
    int from = at;
    boolean point = false;
    while (digit(peek()) || !point && (peek() == '.' || peek() == ',')) {
      point |= !digit(peek());
      at++;
    }
    return new String(read, from, at - from).replace(',', '.');
  }

  /** Moves to the next ; or the end. */
  void skipPart() {
    while (!atEnd() && read[at] != ';') {
      at++;
    }
  }

  Span here() {
    return new Span(at, at);
  }

  /** From a place to the cursor, without the blanks before it. */
  Span from(int place) {
    return new Span(place, trimmedEnd(place));
  }

  int trimmedEnd(int place) {
    int end = at;
    while (end > place && read[end - 1] == ' ') {
      end--;
    }
    return end;
  }

  Span oneCharacter() {
    return atEnd() ? here() : new Span(at, at + Character.charCount(typed.codePointAt(at)));
  }

  String characterText() {
    return typed.substring(at, oneCharacter().to());
  }

  Span last(char c) {
    int place = at - 1;
    while (place > 0 && read[place] != c) {
      place--;
    }
    return new Span(Math.max(place, 0), Math.max(place, 0) + 1);
  }
}
