package org.stratopneum.web.api.guide;

import java.util.UUID;

/** What a script asks for and sends, for one server and one wheel; the token comes from the environment. */
final class ScriptExamples {

    private ScriptExamples() {}

    /** For a shell with curl. */
    static String shell(String site, UUID wheel) {
        return """
                export STRATOPNEUM_TOKEN=...

                # what there is to address
                curl --fail --header "Authorization: Bearer $STRATOPNEUM_TOKEN" %1$s/api/v1/wheels

                # what to set
                curl --fail --header "Authorization: Bearer $STRATOPNEUM_TOKEN" %1$s/api/v1/wheels/%2$s/advice

                # what is due
                curl --fail --header "Authorization: Bearer $STRATOPNEUM_TOKEN" %1$s/api/v1/due

                # a reading; sent twice with the same id, it is saved once
                curl --fail --header "Authorization: Bearer $STRATOPNEUM_TOKEN" \\
                  --header "Content-Type: application/json" \\
                  --data '{"id": "%3$s", "kind": "PRESSURE_READ",
                           "wheelId": "%2$s",
                           "detail": {"gaugeKpa": 152, "readIn": "PSI", "afterInflation": true}}' \\
                  %1$s/api/v1/log
                """.formatted(site, wheel, UUID.randomUUID());
    }

    /** For Python 3 and nothing else. */
    static String python(String site, UUID wheel) {
        return """
                import json
                import os
                import urllib.request
                import uuid

                SITE = "%s"
                WHEEL = "%s"


                def ask(path, body=None):
                    request = urllib.request.Request(SITE + path, method="POST" if body else "GET")
                    request.add_header("Authorization", "Bearer " + os.environ["STRATOPNEUM_TOKEN"])
                    request.add_header("Content-Type", "application/json")
                    data = json.dumps(body).encode() if body else None
                    with urllib.request.urlopen(request, data) as answer:
                        return json.load(answer)


                advice = ask("/api/v1/wheels/" + WHEEL + "/advice")
                print("set", advice["set"], "between", advice["lowKpa"], "and", advice["highKpa"], "kPa")

                reading = {"id": str(uuid.uuid4()), "kind": "PRESSURE_READ", "wheelId": WHEEL,
                           "detail": {"gaugeKpa": 152, "readIn": "PSI", "afterInflation": True}}
                print(ask("/api/v1/log", reading))

                for item in ask("/api/v1/due")["due"]:
                    print(item["due"], item["where"], item["what"])
                """.formatted(site, wheel);
    }
}
