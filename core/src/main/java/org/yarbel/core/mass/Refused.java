package org.yarbel.core.mass;

/**
 * Something a person gave cannot be, such as a plate of 0 kg: the message says why and is fit to be shown to them. Whatever else
 * is thrown is nobody's mistake but ours, and is shown to nobody. It is a message without its full stop, as those of the JDK are;
 * {@link #sentence()} has it.
 */
public class Refused extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  /** Refused for a reason, a sentence without its full stop. */
  public Refused(String why) {
    super(why);
  }

  /** The same, with what it came from. */
  public Refused(String why, Throwable cause) {
    super(why, cause);
  }

  /** Why, as a whole sentence. */
  public String sentence() {
    return getMessage() + ".";
  }
}
