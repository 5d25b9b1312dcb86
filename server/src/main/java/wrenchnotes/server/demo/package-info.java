/** The demo shop: invented people, models and eighteen months of jobs, replayed through the rooms' own services. */
package wrenchnotes.server.demo;
