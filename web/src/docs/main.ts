import "@fontsource/andika/latin-400.css";
import "@fontsource/andika/latin-700.css";
/** Shows the contract to whoever writes a program for Vantick. */
import "rapidoc";
