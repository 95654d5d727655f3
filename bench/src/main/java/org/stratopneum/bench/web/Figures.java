package org.stratopneum.bench.web;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** The application's own figures, at its port for those who watch it. */
final class Figures {

    private final HttpClient client = HttpClient.newHttpClient();
    private final URI address;

    Figures(String address) {
        this.address = URI.create(address + "/actuator/prometheus");
    }

    /** How many statements were sent to the database so far. */
    double statements() {
        return sum("stratopneum_statements_seconds_count");
    }

    /** The sum of all figures whose lines begin so. */
    double sum(String name) {
        return client.sendAsync(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString())
                .join()
                .body()
                .lines()
                .filter(line -> line.startsWith(name))
                .mapToDouble(line -> Double.parseDouble(line.substring(line.lastIndexOf(' ') + 1)))
                .sum();
    }
}
