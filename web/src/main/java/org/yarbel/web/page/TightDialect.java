package org.yarbel.web.page;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IStandaloneElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Templates are indented for who writes them; a page is not. White space alone between two tags, with a new line in it, becomes
 * one new line, which a browser shows the same; inside of what keeps its white space it stays.
 */
@Component
class TightDialect implements IPostProcessorDialect {
  private static final int LAST = 1000;

  @Override
  public String getName() {
    return "tight";
  }

  @Override
  public int getDialectPostProcessorPrecedence() {
    return LAST;
  }

  @Override
  public Set<IPostProcessor> getPostProcessors() {
    return Set.of(new PostProcessor(TemplateMode.HTML, Tight.class, LAST));
  }

  /** Handles one page. */
  public static final class Tight extends AbstractTemplateHandler {
    private static final Set<String> KEEP = Set.of("pre", "textarea");

    private int kept;
    private boolean broken;

    @Override
    public void handleText(IText text) {
      if (kept == 0 && blank(text)) {
        if (!broken) {
          super.handleText(getContext().getModelFactory().createText("\n"));
        }
        broken = true;
        return;
      }
      broken = false;
      super.handleText(text);
    }

    @Override
    public void handleOpenElement(IOpenElementTag tag) {
      kept += KEEP.contains(tag.getElementCompleteName()) ? 1 : 0;
      broken = false;
      super.handleOpenElement(tag);
    }

    @Override
    public void handleCloseElement(ICloseElementTag tag) {
      kept -= KEEP.contains(tag.getElementCompleteName()) ? 1 : 0;
      broken = false;
      super.handleCloseElement(tag);
    }

    @Override
    public void handleStandaloneElement(IStandaloneElementTag tag) {
      broken = false;
      super.handleStandaloneElement(tag);
    }

    private static boolean blank(IText text) {
      boolean line = false;
      for (int i = 0; i < text.length(); i++) {
        char c = text.charAt(i);
        if (!Character.isWhitespace(c)) {
          return false;
        }
        line |= c == '\n';
      }
      return line;
    }
  }
}
