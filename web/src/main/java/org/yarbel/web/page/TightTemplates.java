package org.yarbel.web.page;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.thymeleaf.autoconfigure.ThymeleafProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templateresource.ITemplateResource;

/**
 * Templates are broken into lines for who reads them; a page is not. Inside of a tag and between two words of a sentence white
 * space with a new line in it becomes one blank, once, when a template is read: what is kept in memory and sent has none of it.
 */
@Configuration
class TightTemplates {
  /** A tag with its attributes, whose values may hold the end of a tag. */
  private static final Pattern TAG = Pattern.compile("<[a-zA-Z](?:[^<>\"']|\"[^\"]*\"|'[^']*')*+>");
  private static final Pattern NEW_LINE = Pattern.compile("\\s*\\n\\s*");
  private static final Pattern BETWEEN_WORDS = Pattern.compile("(?<=[^\\s>])[ \\t]*\\n\\s*(?=[^\\s<])");

  /** In place of the one Spring Boot would make, with the same properties. */
  @Bean
  SpringResourceTemplateResolver defaultTemplateResolver(ThymeleafProperties properties) {
    SpringResourceTemplateResolver resolver = new Resolver();
    resolver.setPrefix(properties.getPrefix());
    resolver.setSuffix(properties.getSuffix());
    resolver.setTemplateMode(properties.getMode());
    resolver.setCharacterEncoding(properties.getEncoding().name());
    resolver.setCacheable(properties.isCache());
    resolver.setCheckExistence(properties.isCheckTemplate());
    return resolver;
  }

  /** The text of a template with each tag and each sentence in one line. */
  static String tight(String template) {
    String tags = TAG.matcher(template).replaceAll(tag -> Matcher.quoteReplacement(NEW_LINE.matcher(tag.group()).replaceAll(" ")));
    return BETWEEN_WORDS.matcher(tags).replaceAll(" ");
  }

  private static final class Resolver extends SpringResourceTemplateResolver {
    @Override
    protected ITemplateResource computeTemplateResource(IEngineConfiguration configuration, String owner, String template, String name,
        String encoding, Map<String, Object> attributes) {
      return new TightResource(super.computeTemplateResource(configuration, owner, template, name, encoding, attributes));
    }
  }

  /** A template that is read in one line a tag. */
  private record TightResource(ITemplateResource of) implements ITemplateResource {
    @Override
    public String getDescription() {
      return of.getDescription();
    }

    @Override
    public String getBaseName() {
      return of.getBaseName();
    }

    @Override
    public boolean exists() {
      return of.exists();
    }

    @Override
    public Reader reader() throws IOException {
      try (BufferedReader reader = new BufferedReader(of.reader())) {
        StringBuilder text = new StringBuilder();
        reader.lines().forEach(line -> text.append(line).append('\n'));
        return new StringReader(tight(text.toString()));
      }
    }

    @Override
    public ITemplateResource relative(String location) {
      return new TightResource(of.relative(location));
    }
  }
}
