package app.chervil.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ContextConfiguration;

/** The whole server on a fresh PostgreSQL database, with the clock standing at noon of 1 June 2026. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest
@AutoConfigureMockMvc
@Import({TestSite.class, TestTables.class, TestClock.class, TestPasswords.class, StatementCount.class})
@ContextConfiguration(initializers = TestDatabase.class)
public @interface ChervilTest {}
