package snikra.server.phone;

import jakarta.servlet.Servlet;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.catalina.Context;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.startup.Tomcat;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.util.FileSystemUtils;

/**
 * What a phone speaks to: an HTTPS server of its own with one servlet. It shares nothing with the
 * server of this computer's own pages, so that nothing of that can be reached through it.
 */
final class PhoneLine implements AutoCloseable {
  private static final int THREADS = 6;
  private static final int CONNECTIONS = 24;
  private static final int PATIENCE_MS = 15_000;

  private final Tomcat server = new Tomcat();
  private final Path scratch;

  private PhoneLine(String address, PhoneKey key, Servlet answers) throws IOException {
    scratch = Files.createTempDirectory("snikra-phone");
    server.setBaseDir(scratch.toString());
    server.setSilent(true);
    server.setConnector(connector(address, key));
    Context pages = server.addContext("", scratch.toString());
    Tomcat.addServlet(pages, "phone", answers).addMapping("/*");
  }

  /** Opens it at any free port of this address. */
  static PhoneLine open(String address, PhoneKey key, Servlet answers) throws IOException {
    PhoneLine line = new PhoneLine(address, key, answers);
    try {
      line.server.start();
      if (line.server.getConnector().getLocalPort() <= 0) {
        throw new IOException("nothing can be opened at " + address);
      }
      return line;
    } catch (LifecycleException e) {
      line.close();
      throw new IOException(e);
    } catch (IOException e) {
      line.close();
      throw e;
    }
  }

  private static Connector connector(String address, PhoneKey key) {
    Connector connector = new Connector();
    connector.setPort(0);
    connector.setProperty("address", address);
    connector.setProperty("maxThreads", "" + THREADS);
    connector.setProperty("maxConnections", "" + CONNECTIONS);
    connector.setProperty("connectionTimeout", "" + PATIENCE_MS);
    // What is too large is let come in and thrown away, so that the phone hears why and no broken
    // line.
    connector.setProperty("maxSwallowSize", "" + 2 * PhonePages.LARGEST_PHOTO);
    connector.setProperty("SSLEnabled", "true");
    connector.setScheme("https");
    connector.setSecure(true);
    connector.setThrowOnFailure(true);
    SSLHostConfig tls = new SSLHostConfig();
    tls.setProtocols("TLSv1.2+TLSv1.3");
    SSLHostConfigCertificate certificate =
        new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.EC);
    certificate.setCertificateKeystore(key.keys());
    certificate.setCertificateKeystorePassword(PhoneKey.PASSWORD);
    certificate.setCertificateKeyAlias(PhoneKey.ALIAS);
    tls.addCertificate(certificate);
    connector.addSslHostConfig(tls);
    return connector;
  }

  int port() {
    return server.getConnector().getLocalPort();
  }

  @Override
  public void close() {
    try {
      server.stop();
      server.destroy();
    } catch (LifecycleException e) {
      throw new IllegalStateException(e);
    } finally {
      FileSystemUtils.deleteRecursively(scratch.toFile());
    }
  }
}
