package org.yarbel.web.who;

/** What somebody may do in a club, the most first. */
public enum Role {
  /** Everything a coach may, and who is in the club, what it holds and what happened. */
  OWNER("owner"),
  /** Plans, decides and logs for the club's lifters. */
  COACH("coach"),
  /** Logs for lifters and reads; plans nothing. */
  ASSISTANT("assistant"),
  /** Their own card and ledger. */
  LIFTER("lifter");

  private final String word;

  Role(String word) {
    this.word = word;
  }

  /** As it is said: {@code coach}. */
  public String word() {
    return word;
  }

  /** Whether it is one of those who look after lifters. */
  public boolean staff() {
    return this != LIFTER;
  }
}
