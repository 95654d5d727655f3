package org.stratopneum.web.due.digest;

import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.web.due.Summaries;
import org.stratopneum.web.due.Summary;
import org.stratopneum.web.platform.mail.Post;
import org.stratopneum.web.platform.wording.Wording;

/** Writes the mails of a digest, as plain text. */
@Component
class DigestMail {

    private static final String LINE = "\n";

    private final Summaries summaries;
    private final Post post;
    private final Wording wording;

    DigestMail(Summaries summaries, Post post, Wording wording) {
        this.summaries = summaries;
        this.post = post;
        this.wording = wording;
    }

    /** Asks whoever reads the address whether they want it. */
    Post.Letter question(Digest digest) {
        return new Post.Letter(
                digest.address(),
                wording.text("digest.mail.question"),
                wording.text("digest.mail.question.text", post.link("/digest/confirm?key=" + digest.secret())),
                null);
    }

    /** What is due as of now, for the rider on whose behalf it is asked. */
    Post.Letter letter(Digest digest) {
        Summary summary = summaries.of(digest.every().days());
        StringBuilder text = new StringBuilder();
        if (summary.now().isEmpty() && summary.days().isEmpty()) {
            text.append(wording.text("digest.mail.nothing")).append(LINE);
        }
        part(text, wording.text("todo.now"), summary.now());
        summary.days().forEach(day -> part(text, day.day(), day.lines()));
        part(text, wording.text("todo.to-buy"), summary.buy());
        String stop = post.link("/digest/stop?key=" + digest.secret());
        text.append(LINE).append(wording.text("digest.mail.foot", post.link("/todo"), stop));
        return new Post.Letter(
                digest.address(),
                wording.text("digest.mail.subject", summary.now().size(), summary.ahead()),
                text.toString(),
                post.link("/digest/unsubscribe?key=" + digest.secret()));
    }

    private static void part(StringBuilder text, String title, List<String> lines) {
        if (!lines.isEmpty()) {
            text.append(title).append(LINE);
            lines.forEach(line -> text.append("- ").append(line).append(LINE));
            text.append(LINE);
        }
    }
}
