package app.chervil.server.demo;

import app.chervil.server.account.SignedIn;

/** A part of Tern House's story, told in the order of its {@link org.springframework.core.annotation.Order}. */
interface DemoChapter {
    /** Writes down what happened. */
    void live(SignedIn keeper);
}
