/** What a page is for, for somebody in a hurry: by the page's name, a line each. */
export const HELP: Readonly<Record<string, readonly string[]>> = {
  home: [
    "Today's lesson, or the next one. It comes from your term plan, if you have one.",
    "Next to it: what the last check showed.",
    "Press / to search for a child, a check or a lesson.",
  ],
  plan: [
    "Vantick suggests the next step and says why. You can choose any other step.",
    "You can restore a deleted lesson for thirty days.",
  ],
  tomorrow: [
    "Everything for the next lesson: what it is about, who works on what, and all its paper in one stack.",
    "The stack stays as it is until you make it again. Then sheets without answers are deleted.",
    "A substitute needs only the cover and the lesson page.",
  ],
  term: [
    "Drag a lesson to another day, or press it and use the buttons. Lessons you fix stay put; the rest are planned around them.",
    "One lesson in eight is spare, at the end, for lessons that fall out.",
    "After each check the remaining lessons are replanned. You see what changed and can undo it.",
  ],
  compare: [
    "Turn either clock by its long hand. The line below is its hour, from 0 to 60.",
    "Space shows the answer line by line. N brings another pair for the step.",
  ],
  "step-lesson": ["A lesson without clocks to read. Print it, or show the two hands to the class."],
  school: [
    "How many children of each class meet a standard, at the end of each term and today. Choose the standard above.",
    "Nobody is named, and groups of fewer than five are not counted.",
  ],
  "school-list": [
    "One file for all classes. Every change is shown before it is made, and you can undo it for thirty days.",
    "Children who change class take their answers with them.",
  ],
  support: [
    "A plan for a child who is far below the class. Start it, print it, and look again after three weeks.",
    "The weeks stay as they are once you have started.",
  ],
  boards: [
    "Open this on your phone while the lesson is on the wall. Press the clock that the class is asked.",
    "Tap how many showed each answer. Vantick says what to do, and what to ask next.",
  ],
  lesson: [
    "Press a part to see its clocks. Swap one, pin it, or type another time.",
    "Drag the edge between two parts to change their minutes. Ctrl+Z undoes.",
    "Print gives you the whole lesson on one page.",
  ],
  sheets: [
    "Choose on the left. The middle shows the page as it will print.",
    "The code in the corner finds the sheet under Check, and lets Vantick read the paper.",
    "When you print on both sides, each child's sheet starts on a new page, and so do the answers.",
  ],
  "call-out": [
    "For bingo and loop cards. Space calls the next time, the left arrow goes back.",
    "What was called stays below, so you can check a card.",
  ],
  checks: [
    "A check is a slip with a few clocks. Make it, print the slips, enter the answers.",
    "Type the code on a slip or sheet to open it.",
    "Deleting a check deletes its answers too. You can restore it for thirty days.",
  ],
  "new-check": [
    'It starts at the step your class is on. "New clocks" picks others.',
    "The more kinds of mistake these clocks can tell apart, the better.",
  ],
  check: [
    "Type as fast as you read: qt8 is quarter to eight, 2.45 is 2:45. A dash means no answer.",
    "Enter goes to the next clock. Press ! to mark an answer yourself.",
  ],
  paper: [
    "Scan the whole stack, in any order. The code shows whose sheet it is.",
    "Clear answers are marked for you. You look at the rest, all at a glance or one at a time.",
    "Pictures are deleted after thirty days, or when you delete the file. Answers stay.",
  ],
  look: [
    "Side by side, click what is read wrongly. One press takes all others.",
    "Press a number to choose that clock, or type what the child wrote and press Enter. Esc goes back.",
    "Use a dash, or Blank, if nothing is written.",
  ],
  class: ["For each child, the likely cause of the mistakes. For the class, what helps tomorrow."],
  children: ["The fuller the circle, the surer the child is of that step. Press a name for the record."],
  child: [
    "The likely cause of the mistakes, with the clocks that show it. Ask the clock on the right to be sure.",
    "Adjustments hold on devices and on the child's own sheets. They stand on the lesson's page for a substitute.",
  ],
  groups: [
    "Drag a name to another group, or choose its number. Your groups stay until you reset them.",
    "Sheets, lessons and devices you open here are for this group only.",
  ],
  register: [
    "Add children, rename them, or mark who has left. Records stay until you erase them.",
    "You see a list from another program before it is added.",
  ],
  "new-desk": ["Start a session, then show the class code on the board. Children answer on any device."],
  "live-desk": ["Children who need you have a thick border. N hides the names, B shows the board."],
  settings: ["How your class says, writes and counts times. The example shows it at once."],
  account: ["Passwords, colleagues, and a full copy for the school's first teacher."],
  weeks: [
    "Who was secure at the end of each week, and which mistakes came and went.",
    "Each line starts when the class first met that step.",
  ],
  parents: [
    "What a child can read by now, for the parents. No marks, and no other child.",
    "Print gives you one page.",
  ],
  slips: [
    "You get a slip for each child, and the answers on a separate page.",
    '"Spare slip" is one without a name.',
  ],
  keys: [
    "A child signs in with three pictures, in order.",
    "Print the cards and cut them out. New pictures replace lost ones; the old pictures then stop working.",
  ],
  "new-class": [
    "One name on each line, or a list from another program.",
    "You can add and change names at any time.",
  ],
};
