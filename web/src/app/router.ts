import { createRouter, createWebHistory } from "vue-router";
import { keepSeen } from "./seen";
import { useClasses } from "@/school";

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: "/", name: "home", component: () => import("./HomeView.vue"), meta: { title: "Home" } },
    { path: "/show", name: "show", component: () => import("@/show/ShowView.vue"), meta: { title: "Show" } },
    {
      path: "/show/compare",
      name: "compare",
      component: () => import("@/show/CompareView.vue"),
      meta: { title: "Compare two clocks" },
    },
    { path: "/plan", name: "plan", component: () => import("@/plan/PlanView.vue"), meta: { title: "Plan" } },
    {
      path: "/plan/term",
      name: "term",
      component: () => import("@/plan/term/TermView.vue"),
      meta: { title: "Term" },
    },
    {
      path: "/plan/tomorrow",
      name: "tomorrow",
      component: () => import("@/plan/TomorrowView.vue"),
      meta: { title: "Next lesson" },
    },
    {
      path: "/plan/step/:step([a-z_]+)",
      name: "step-lesson",
      component: () => import("@/plan/StepLessonView.vue"),
      meta: { title: "Lesson" },
    },
    {
      path: "/plan/:id(\\d+)",
      name: "lesson",
      component: () => import("@/plan/LessonView.vue"),
      meta: { title: "Lesson" },
    },
    {
      path: "/plan/:id(\\d+)/boards",
      name: "boards",
      component: () => import("@/plan/BoardsView.vue"),
      meta: { title: "Boards" },
    },
    {
      path: "/plan/:id(\\d+)/run",
      name: "run",
      component: () => import("@/plan/RunView.vue"),
      meta: { title: "Lesson" },
    },
    {
      path: "/sheets",
      name: "sheets",
      component: () => import("@/sheets/SheetsView.vue"),
      meta: { title: "Sheets" },
    },
    {
      path: "/sheets/call",
      name: "call-out",
      component: () => import("@/sheets/CallOutView.vue"),
      meta: { title: "Call out" },
    },
    {
      path: "/settings",
      name: "settings",
      component: () => import("@/settings/SettingsView.vue"),
      meta: { title: "Settings" },
    },
    {
      path: "/check",
      name: "checks",
      component: () => import("@/check/ChecksView.vue"),
      meta: { title: "Check" },
    },
    {
      path: "/check/new",
      name: "new-check",
      component: () => import("@/check/NewCheckView.vue"),
      meta: { title: "New check" },
    },
    {
      path: "/check/paper",
      name: "paper",
      component: () => import("@/paper/ReadPaperView.vue"),
      meta: { title: "Read paper" },
    },
    {
      path: "/check/:id(\\d+)/look",
      name: "look",
      component: () => import("@/paper/LookAtView.vue"),
      meta: { title: "Unclear answers" },
    },
    {
      path: "/check/:id(\\d+)",
      name: "check",
      component: () => import("@/check/TypeInView.vue"),
      meta: { title: "Enter answers" },
    },
    {
      path: "/check/:id(\\d+)/slips",
      name: "slips",
      component: () => import("@/check/SlipsView.vue"),
      meta: { title: "Slips" },
    },
    {
      path: "/devices/new",
      name: "new-desk",
      component: () => import("@/desks/NewDeskView.vue"),
      meta: { title: "Answer on devices" },
    },
    {
      path: "/devices/:id(\\d+)",
      name: "live-desk",
      component: () => import("@/desks/LiveDeskView.vue"),
      meta: { title: "Device session" },
    },
    {
      path: "/devices/keys",
      name: "keys",
      component: () => import("@/desks/KeysView.vue"),
      meta: { title: "The children's pictures" },
    },
    {
      path: "/account",
      name: "account",
      component: () => import("@/account/AccountView.vue"),
      meta: { title: "Your account" },
    },
    {
      path: "/school",
      name: "school",
      component: () => import("@/account/SchoolView.vue"),
      meta: { title: "The school" },
    },
    {
      path: "/school/list",
      name: "school-list",
      component: () => import("@/class/SchoolListView.vue"),
      meta: { title: "List of all classes" },
    },
    {
      path: "/class",
      name: "children",
      component: () => import("@/class/ChildrenView.vue"),
      meta: { title: "Class" },
    },
    {
      path: "/class/child/:child(\\d+)",
      name: "child",
      component: () => import("@/class/ChildView.vue"),
      meta: { title: "A child's record" },
    },
    {
      path: "/class/child/:child(\\d+)/parents",
      name: "parents",
      component: () => import("@/class/ParentsView.vue"),
      meta: { title: "For the parents" },
    },
    {
      path: "/class/child/:child(\\d+)/support",
      name: "support",
      component: () => import("@/class/SupportView.vue"),
      meta: { title: "Three weeks of help" },
    },
    {
      path: "/class/groups",
      name: "groups",
      component: () => import("@/class/GroupsView.vue"),
      meta: { title: "Groups" },
    },
    {
      path: "/class/register",
      name: "register",
      component: () => import("@/class/RegisterView.vue"),
      meta: { title: "Register" },
    },
    {
      path: "/class/weeks",
      name: "weeks",
      component: () => import("@/class/WeeksView.vue"),
      meta: { title: "Week by week" },
    },
    {
      path: "/results/:id(\\d+)",
      name: "class",
      component: () => import("@/class/ClassView.vue"),
      meta: { title: "Class" },
    },
    {
      path: "/class/new",
      name: "new-class",
      component: () => import("@/class/NewClassView.vue"),
      meta: { title: "New class" },
    },
    // Addresses of before, as they may stand in a bookmark.
    { path: "/desks/:rest(.*)*", redirect: (to) => to.fullPath.replace("/desks", "/devices") },
    { path: "/class/:id(\\d+)", redirect: (to) => `/results/${String(to.params.id)}` },
    {
      path: "/:rest(.*)*",
      name: "nowhere",
      component: () => import("./NowhereView.vue"),
      meta: { title: "Not found" },
    },
  ],
});

/** The address says which class a page is about: each tab has its own, and Back leads to the class that was there. */
router.beforeEach((to) => {
  const classes = useClasses();
  const named = Number(to.query.class);
  if (classes.all.some((schoolClass) => schoolClass.id === named)) return classes.choose(named);
  if (!classes.current) return;
  return { path: to.path, query: { ...to.query, class: String(classes.current.id) }, hash: to.hash };
});

keepSeen(router);
router.afterEach((to) => {
  document.title = `${String(to.meta.title)} · Vantick`;
});

/** Where the address leads: known before the page's script is there. */
export const addressed = () => router.resolve(router.options.history.location);

/** The script of the page is on its way while the frame around it is built; where it cannot be had the router says so. */
export function askForPage(): void {
  const views = addressed().matched.flatMap(({ components }) => Object.values(components ?? {}));
  for (const view of views as (() => Promise<unknown>)[]) void view().catch(() => undefined);
}
