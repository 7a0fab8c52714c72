package org.yarbel.web.who;

/** What somebody may see: a coach their club, a lifter their own card and ledger. */
public enum Role {
  COACH,
  LIFTER
}
