/** The invented site of the demo, with a plausible half-year behind it. Read DemoSite first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.demo;
