package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.progress.Method;

/** One edit that a coach could make by hand as well: it goes through the same doors. */
public sealed interface Effect {
  /** Calls the method of this kind. */
  <R> R accept(Visitor<R> visitor);

  /** One method a kind of edit. */
  interface Visitor<R> {
    /** Of a line that says something else. */
    R rewrite(Rewrite edit);

    /** Of a line that is added. */
    R add(Add edit);

    /** Of a session on another day. */
    R move(Move edit);

    /** Of an easy week. */
    R easyWeek(EasyWeek edit);

    /** Of a number. */
    R number(Number edit);

    /** Of the number percentages are of. */
    R ofBasis(OfBasis edit);

    /** Of what a method is set to. */
    R setting(Setting edit);

    /** Of another method in place of one. */
    R another(Another edit);

    /** Of words to the lifter. */
    R ask(Ask edit);
  }

  /** One that tells some kinds apart and takes the others alike. */
  interface Some<R> extends Visitor<R> {
    /** Of every kind that has no method of its own. */
    R other(Effect edit);

    @Override
    default R rewrite(Rewrite edit) {
      return other(edit);
    }

    @Override
    default R add(Add edit) {
      return other(edit);
    }

    @Override
    default R move(Move edit) {
      return other(edit);
    }

    @Override
    default R easyWeek(EasyWeek edit) {
      return other(edit);
    }

    @Override
    default R number(Number edit) {
      return other(edit);
    }

    @Override
    default R ofBasis(OfBasis edit) {
      return other(edit);
    }

    @Override
    default R setting(Setting edit) {
      return other(edit);
    }

    @Override
    default R another(Another edit) {
      return other(edit);
    }

    @Override
    default R ask(Ask edit) {
      return other(edit);
    }
  }

  /**
   * A line of a day to come says something else.
   *
   * @param line its ref
   * @param lift the lift it has now
   * @param before what it says now
   * @param toLift the lift it has then
   * @param after what it says then
   * @param cue what is said beside it; null for what is said now
   */
  record Rewrite(UUID line, LocalDate day, String lift, String before, String toLift, String after,
      @Nullable String cue) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.rewrite(this);
    }

    /** The same with another text. */
    public Rewrite saying(String text) {
      return new Rewrite(line, day, lift, before, toLift, text, cue);
    }
  }

  /**
   * A line more on a day.
   *
   * @param reason why it is there
   */
  record Add(LocalDate day, SlotKind kind, String lift, String work, String reason) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.add(this);
    }
  }

  /** The session of a day on another; what stands there stays behind it. */
  record Move(LocalDate from, LocalDate to) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.move(this);
    }
  }

  /**
   * An easy week.
   *
   * @param insteadOf the week that was meant to be easy; null where none was
   */
  record EasyWeek(LocalDate monday, Deload kind, @Nullable LocalDate insteadOf) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.easyWeek(this);
    }
  }

  /**
   * Another training max, goal, or estimate to plan with.
   *
   * @param what {@link Basis#TRAINING}, {@link Basis#GOAL}, or {@link Basis#ESTIMATED} where loads wait for the coach's word
   */
  record Number(String lift, Basis what, @Nullable Mass before, Mass after) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.number(this);
    }
  }

  /** Percentages of another number. */
  record OfBasis(String lift, Basis before, Basis after) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.ofBasis(this);
    }
  }

  /**
   * A method set otherwise.
   *
   * @param method its ref
   * @param key of the parameter
   */
  record Setting(UUID method, String lift, String key, String words, String before, String after) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.setting(this);
    }
  }

  /**
   * Another method from a Monday on in place of one.
   *
   * @param method the ref of the one that ends
   * @param to what follows; null where the one that was ended goes on
   */
  record Another(UUID method, String lift, @Nullable Method to, LocalDate from) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.another(this);
    }
  }

  /**
   * Words to the lifter, in a session.
   *
   * @param session what the caller knows it by
   */
  record Ask(long session, LocalDate day, String words) implements Effect {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.ask(this);
    }
  }
}
