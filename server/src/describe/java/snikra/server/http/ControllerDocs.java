package snikra.server.http;

import com.sun.source.doctree.DocCommentTree;
import com.sun.source.doctree.DocTree;
import com.sun.source.doctree.ParamTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.jspecify.annotations.Nullable;

/** What controllers say of their methods, read out of their sources: it stands nowhere else. */
final class ControllerDocs {
  private static final Pattern CONSTANT = Pattern.compile("#([A-Z_]+)");

  private final Map<String, Doc> docs = new HashMap<>();

  /**
   * What is said of a method.
   *
   * @param first sentence
   * @param rest after it
   * @param parameters what each is
   */
  record Doc(String first, String rest, Map<String, String> parameters) {}

  ControllerDocs(Path sources) {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (Stream<Path> all = Files.walk(sources);
        StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
      List<Path> controllers =
          all.filter(p -> p.getFileName().toString().endsWith("Controller.java")).toList();
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null, files, null, null, null, files.getJavaFileObjectsFromPaths(controllers));
      DocTrees trees = DocTrees.instance(task);
      for (CompilationUnitTree unit : task.parse()) {
        new Reader(trees).scan(unit, null);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What is said of it; a method of the interface of which nothing is said is a mistake. */
  Doc of(Class<?> controller, String method) {
    Doc doc = docs.get(controller.getSimpleName() + "." + method);
    if (doc == null) {
      throw new IllegalStateException("Nothing is said of " + controller + "." + method);
    }
    Map<String, String> parameters = new HashMap<>();
    doc.parameters().forEach((name, said) -> parameters.put(name, filledIn(said, controller)));
    return new Doc(filledIn(doc.first(), controller), filledIn(doc.rest(), controller), parameters);
  }

  // Numbers stand in constants of the controller.
  private static String filledIn(String said, Class<?> controller) {
    return CONSTANT
        .matcher(said)
        .replaceAll(
            found -> {
              try {
                Field constant = controller.getDeclaredField(found.group(1));
                constant.setAccessible(true);
                return "" + constant.get(null);
              } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(said, e);
              }
            });
  }

  private final class Reader extends TreePathScanner<Void, @Nullable String> {
    private final DocTrees trees;

    Reader(DocTrees trees) {
      this.trees = trees;
    }

    @Override
    public Void visitClass(ClassTree type, @Nullable String of) {
      return super.visitClass(type, of == null ? type.getSimpleName().toString() : of);
    }

    @Override
    public Void visitMethod(MethodTree method, @Nullable String of) {
      DocCommentTree comment = trees.getDocCommentTree(getCurrentPath());
      if (comment != null) {
        docs.put(of + "." + method.getName(), doc(comment));
      }
      return super.visitMethod(method, of);
    }
  }

  private static Doc doc(DocCommentTree comment) {
    Map<String, String> parameters = new HashMap<>();
    for (DocTree tag : comment.getBlockTags()) {
      if (tag instanceof ParamTree param) {
        parameters.put(param.getName().toString(), plain(param.getDescription()));
      }
    }
    return new Doc(plain(comment.getFirstSentence()), plain(comment.getBody()), parameters);
  }

  private static String plain(List<? extends DocTree> words) {
    String text = words.stream().map(DocTree::toString).collect(Collectors.joining());
    return text.replaceAll("\\{@(?:code|link|value) ([^}]*)}", "$1")
        .replaceAll("\\s+", " ")
        .strip();
  }
}
