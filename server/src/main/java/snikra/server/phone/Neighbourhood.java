package snikra.server.phone;

import java.net.Inet4Address;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.ArrayList;
import java.util.List;

/** By what addresses a phone in the same network reaches this computer. */
public final class Neighbourhood {
  private Neighbourhood() {}

  /** Addresses that reach no further than the network at home. */
  public static List<String> addresses() {
    List<String> found = new ArrayList<>();
    try {
      for (NetworkInterface card : NetworkInterface.networkInterfaces().toList()) {
        if (card.isUp() && !card.isLoopback() && !card.isPointToPoint() && !card.isVirtual()) {
          card.inetAddresses()
              .filter(a -> a instanceof Inet4Address && a.isSiteLocalAddress())
              .forEach(a -> found.add(a.getHostAddress()));
        }
      }
    } catch (SocketException e) {
      return List.of();
    }
    return found;
  }
}
