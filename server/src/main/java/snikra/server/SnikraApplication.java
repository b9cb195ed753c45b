package snikra.server;

import java.io.IOException;
import java.time.Year;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import snikra.core.examination.Examiner;
import snikra.server.examination.Rehearsal;
import snikra.server.knives.DemoTin;
import snikra.server.knives.KnifeService;
import snikra.server.photos.DemoPhotographs;
import snikra.server.photos.PhotoService;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.json.JsonMapper;

/** Starts Snikra. See {@link StartOptions} for the options. */
@SpringBootApplication
public class SnikraApplication {

  /** Starts, or says in one sentence why not and ends with 1. */
  public static void main(String[] args) {
    try {
      StartOptions options = StartOptions.parse(List.of(args), System.getenv());
      options.check();
      ConfigurableApplicationContext context =
          new SpringApplication(SnikraApplication.class).run(options.toSpring());
      String port = context.getEnvironment().getProperty("local.server.port");
      System.out.println("Snikra is ready at http://localhost:" + port);
      System.out.println("The knives are kept in " + options.data());
      // The shelf is opened while the page is on its way to the browser.
      Examiner examiner = context.getBean(ReferenceDesk.class).examiner();
      Rehearsal.run(
          examiner, context.getBean(JsonMapper.class), DemoTin.specimens(examiner.shelf()));
      if (options.demo()) {
        DemoPhotographs.fill(
            context.getBean(PhotoService.class), context.getBean(KnifeService.class), examiner);
      }
    } catch (StartRefused e) {
      refuse(e.getMessage());
    } catch (IOException | RuntimeException e) {
      refuse(StartRefused.explain(e));
    }
  }

  private static void refuse(String sentence) {
    System.err.println(sentence);
    System.exit(1);
  }

  /** The year dating looks no further than. */
  static int thisYear() {
    return Year.now(java.time.ZoneId.systemDefault()).getValue();
  }
}
