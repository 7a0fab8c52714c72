package org.yarbel.web.library;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.util.Locale;
import org.yarbel.web.club.ClubRow;

/** A session, week or block that the club keeps to use again. */
@Entity
class Template extends ClubRow {
  private String name = "";

  @Enumerated(EnumType.STRING)
  private Scope scope = Scope.WEEK;

  private String document = "";
  private boolean gone;
  @Version private int version;

  protected Template() {}

  Template(String name, Scope scope, String document) {
    this.name = name;
    this.scope = scope;
    this.document = document;
  }

  /** How much it holds. */
  enum Scope {
    SESSION,
    WEEK,
    BLOCK;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  String name() {
    return name;
  }

  Scope scope() {
    return scope;
  }

  String document() {
    return document;
  }

  /** Whether it was taken out; it can be brought back. */
  boolean gone() {
    return gone;
  }

  void take(boolean out) {
    this.gone = out;
  }

  int version() {
    return version;
  }
}
