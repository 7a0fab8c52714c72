package org.yarbel.web.form;

import java.util.Locale;

/** A part of a name that somebody typed to find something: of a length that names have, and without signs that no name has. */
public record Sought(String typed) {
  private static final int MOST = 80;

  public Sought {
    typed = typed.substring(0, Math.min(MOST, typed.length())).replace("\0", "").strip();
  }

  public boolean nothing() {
    return typed.isEmpty();
  }

  /** Whether a name contains it, in any letter case. */
  public boolean in(String name) {
    return name.toLowerCase(Locale.ROOT).contains(small());
  }

  private String small() {
    return typed.toLowerCase(Locale.ROOT);
  }

  /** For a query's {@code like … escape '!'}, in small letters: its signs are signs, not wildcards. */
  public String like() {
    return small().replace("!", "!!").replace("%", "!%").replace("_", "!_");
  }
}
