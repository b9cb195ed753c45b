package snikra.server;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Year;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import snikra.core.examination.Examiner;
import snikra.server.examination.Rehearsal;
import snikra.server.keeping.Backup;
import snikra.server.keeping.DataFolder;
import snikra.server.keeping.Keeping;
import snikra.server.keeping.Running;
import snikra.server.knives.Catalogue;
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
    StartOptions options = null;
    try {
      options = StartOptions.parse(List.of(args), System.getenv());
      options.check();
      switch (options.task()) {
        case SERVE -> serve(options);
        case REHEARSE -> {
          RunningSnikra.at(serve(options)).visit("/tray", "/api/book", "/api/knives");
          System.exit(0);
        }
        case RESTORE -> restore(options);
        case BACKUP, CHECK -> keep(options);
      }
    } catch (SpringApplication.AbandonedRunException e) {
      // When beans are wired ahead of time, the run ends here by intent.
      throw e;
    } catch (StartRefused e) {
      refuse(e.getMessage());
    } catch (IOException | RuntimeException e) {
      refuse(StartRefused.explain(e, options == null ? null : options.data()));
    }
  }

  private static int serve(StartOptions options) throws IOException {
    requireSound(options.data());
    ConfigurableApplicationContext context =
        new SpringApplication(SnikraApplication.class).run(options.toSpring());
    String port = context.getEnvironment().getProperty("local.server.port");
    new DataFolder(options.data()).closeToOthers();
    new Running(Integer.parseInt(port + "")).sayIn(options.data());
    System.out.println("Snikra is ready at http://localhost:" + port);
    System.out.println("The knives are kept in " + options.data());
    Meantime.each(
        () -> context.getBean(Catalogue.class).open(),
        () -> rehearse(context),
        () -> {
          if (options.demo()) {
            photographTheDemo(context);
          }
        });
    return Integer.parseInt(port + "");
  }

  private static void rehearse(ApplicationContext context) throws IOException {
    Examiner examiner = context.getBean(ReferenceDesk.class).examiner();
    Rehearsal.run(examiner, context.getBean(JsonMapper.class), DemoTin.specimens(examiner.shelf()));
  }

  private static void photographTheDemo(ApplicationContext context) {
    DemoPhotographs.fill(
        context.getBean(PhotoService.class),
        context.getBean(KnifeService.class),
        context.getBean(ReferenceDesk.class).examiner());
  }

  private static void requireSound(Path data) {
    new DataFolder(data)
        .damage()
        .ifPresent(
            sentence -> {
              throw new StartRefused(sentence);
            });
  }

  private static void restore(StartOptions options) {
    DataFolder folder = new DataFolder(options.data());
    if (folder.isInUse()) {
      throw new StartRefused(
          "Snikra has these knives open. Stop it first, or put the copy back there, at Safe keeping.");
    }
    System.out.println(folder.restore(options.copy()));
  }

  // Beside a Snikra that runs it is asked to do it; else this one opens the knives for as long.
  private static void keep(StartOptions options) throws IOException {
    boolean backup = options.task() == StartOptions.Task.BACKUP;
    if (new DataFolder(options.data()).isInUse()) {
      int port = Running.in(options.data()).map(Running::port).orElseThrow(StartRefused::inUse);
      System.out.println(
          RunningSnikra.at(port).ask(backup ? "/api/backups" : "/api/keeping/check"));
      return;
    }
    requireSound(options.data());
    try (ConfigurableApplicationContext context =
        new SpringApplication(SnikraApplication.class).run(options.toSpring())) {
      Keeping keeping = context.getBean(Keeping.class);
      if (backup) {
        System.out.println(told(keeping.makeBackup()));
      } else {
        Keeping.Checked checked = keeping.check();
        System.out.println(told(checked));
        if (!checked.sound()) {
          System.exit(1);
        }
      }
    }
  }

  static String told(Backup made) {
    return "Copied "
        + made.knives()
        + (made.knives() == 1 ? " knife and " : " knives and ")
        + made.photographs()
        + (made.photographs() == 1 ? " photograph" : " photographs")
        + "; the copy is "
        + made.name()
        + ".";
  }

  static String told(Keeping.Checked checked) {
    StringBuilder out = new StringBuilder();
    out.append(checked.knives()).append(" knives can be read, ").append(checked.originals());
    out.append(" photographs were looked for.");
    checked.unreadable().forEach(k -> out.append("\n").append(k));
    checked.lost().forEach(p -> out.append("\nLost: ").append(p));
    checked.changed().forEach(p -> out.append("\nNot what it was: ").append(p));
    return out.append(checked.sound() ? " All is sound." : "").toString();
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
