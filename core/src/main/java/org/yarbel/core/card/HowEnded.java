package org.yarbel.core.card;

/** Why a set had fewer reps than were asked, or an open one no more. Only {@link #COULD_NOT} says that strength was at its end. */
public enum HowEnded {
  COULD_NOT("could not"),
  FORM_WENT("form went"),
  MY_CHOICE("my choice"),
  HURT("hurt");

  private final String word;

  HowEnded(String word) {
    this.word = word;
  }

  /** As it is read: {@code form went}. */
  public String word() {
    return word;
  }

  /** Whether a further rep was tried and missed. */
  public boolean failed() {
    return this == COULD_NOT;
  }

  /** Whether there was one more rep that is not counted: it failed, was not good, or hurt. */
  public boolean triedFurther() {
    return this != MY_CHOICE;
  }
}
