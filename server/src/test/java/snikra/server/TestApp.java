package snikra.server;

import jakarta.servlet.Filter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.DefaultMockMvcBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;

/** The whole application for the tests of one class, in a folder of its own and on a free port. */
public final class TestApp implements BeforeAllCallback, AfterAllCallback {
  private final Runnable before;
  private final String[] settings;
  private Path data;
  private WebApplicationContext context;

  /** With these settings beside the folder and the port. */
  public TestApp(String... settings) {
    this(() -> {}, settings);
  }

  /** The same after something was made ready. */
  public TestApp(Runnable before, String... settings) {
    this.before = before;
    this.settings = settings;
  }

  @Override
  public void beforeAll(ExtensionContext test) throws IOException {
    before.run();
    start(Files.createTempDirectory("snikra-test"));
  }

  /** Starts it in this folder. */
  public void start(Path folder) {
    data = folder;
    List<String> arguments =
        new ArrayList<>(
            List.of(
                "--snikra.data=" + data,
                "--server.port=0",
                "--snikra.rounds=false",
                "--logging.file.name=target/log/snikra.log",
                "--springdoc.api-docs.path=/described.json",
                "--springdoc.api-docs.version=openapi_3_0",
                "--springdoc.paths-to-match=/api/**"));
    arguments.addAll(List.of(settings));
    if (arguments.stream().noneMatch(a -> a.startsWith("--snikra.examples="))) {
      arguments.add("--snikra.examples=true");
    }
    context =
        (WebApplicationContext)
            new SpringApplicationBuilder(SnikraApplication.class)
                .run(arguments.toArray(String[]::new));
  }

  /** Stops it and leaves the folder as it is. */
  public void stop() {
    ((org.springframework.context.ConfigurableApplicationContext) context).close();
  }

  @Override
  public void afterAll(ExtensionContext test) throws IOException {
    stop();
    try (var all = Files.walk(data)) {
      all.sorted(Comparator.reverseOrder()).forEach(TestApp::delete);
    }
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Requests without a socket, through all filters. */
  public MockMvc web() {
    DefaultMockMvcBuilder builder = MockMvcBuilders.webAppContextSetup(context);
    for (FilterRegistrationBean<?> registered :
        context.getBeansOfType(FilterRegistrationBean.class).values()) {
      builder.addFilters((Filter) registered.getFilter());
    }
    return builder.build();
  }

  /** A part of it. */
  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Where its knives are kept. */
  public Path data() {
    return data;
  }

  /** Where it listens. */
  public int port() {
    return context.getEnvironment().getRequiredProperty("local.server.port", Integer.class);
  }
}
