import './plain';
import { element } from '../page';
import { AskPanel } from '../desk/asks/ask';
import { Choices } from '../desk/asks/choices';
import { Checking } from '../desk/checks/checking';
import { ClassPicture } from '../desk/checks/picture';
import { StrataMenu } from '../desk/checks/strata';
import { listenToTheEnd } from '../desk/life/ending';
import { RoomDesk } from '../desk/room/room';
import { Talk } from '../desk/room/talk';
import { listenToVoices } from '../desk/room/voices';
import { WaitingList } from '../desk/room/waiting';
import { WhoIsIt } from '../desk/room/whoisit';
import { Connection } from '../desk/shell/connection';
import { Desk } from '../desk/shell/desk';
import { listenToKeys } from '../desk/shell/keys';
import { listenToRail } from '../desk/shell/rail';
import { listenToPanels } from '../desk/shell/panels';
import { listenToShield } from '../desk/shell/shield';
import { listenToColleagues } from '../desk/shell/told';
import { CheckPass } from '../desk/checks/pass';
import { listenToShow } from '../desk/show/show';
import { LineUpBar } from '../desk/show/lineup';
import { listenToOffers } from '../desk/show/offers';
import { listenToTasks } from '../desk/watch/tasksdone';
import { Talking } from '../desk/show/talking';
import { Canvases } from '../desk/watch/canvases';
import { listenToCanvasActions } from '../desk/watch/canvasactions';
import { Chosen } from '../desk/watch/chosen';
import { CloseUp } from '../desk/watch/closeup';
import { Colleagues } from '../desk/watch/colleagues';
import { Compare } from '../desk/watch/compare';
import { listenToGridControls } from '../desk/watch/gridcontrols';
import { Mine } from '../desk/watch/mine';
import { Hold } from '../desk/watch/hold';
import { Looking } from '../desk/watch/looking';
import { PickWindow } from '../desk/watch/pick';
import { Strip } from '../desk/watch/strip';
import { Watch } from '../desk/watch/watch';
import { HandOutForm } from '../desk/work/handout';
import { Lead } from '../desk/work/lead';
import { listenToPrompts } from '../desk/work/prompts';

/** So long after the grid the small class screen is opened. */
const SMALL_SCREEN_MS = 1500;

const desk = new Desk();

// What is shown hears the server in this order: the grid before what lies over it.
const canvases = new Canvases(desk);
const { grid } = canvases;
const connection = new Connection(desk, {
    hear: (ink) => canvases.wet(ink),
    forgetSilence: () => grid.forgetSilence(),
    sort: (operations) => hold.sort(operations),
});
const chosen = new Chosen(desk, grid);
const watch = new Watch(desk, grid, chosen);
const closeUp = new CloseUp(desk, (seat) => watch.reasons(seat));
const compare = new Compare(desk, grid);
const hold = new Hold(desk, grid, () => closeUp.shown);
new Colleagues(desk, grid);
new Mine(desk, grid, chosen);
new Strip(desk, grid);
const looking = new Looking(desk, canvases, chosen, closeUp, compare);
const lead = new Lead(desk, connection.send);
const talking = new Talking(desk, connection.send);
const picture = new ClassPicture(desk);
const strata = new StrataMenu(desk, grid);
const checking = new Checking(desk, looking, closeUp, strata);
const pass = new CheckPass(desk, canvases, looking, checking, picture);
const talk = new Talk(desk, closeUp);

new RoomDesk(desk);
new WaitingList(desk);
new WhoIsIt(desk);
new HandOutForm(desk, lead, looking);
new LineUpBar(desk);
new PickWindow(desk, grid, chosen, looking);
const ask = new AskPanel(desk, chosen);
new Choices(desk, grid);
listenToPrompts(desk, canvases, closeUp);
listenToCanvasActions(desk, looking, closeUp, talk);
listenToGridControls(desk, canvases);
listenToShow(desk, looking, closeUp);
listenToRail(desk);
listenToOffers(desk);
listenToTasks(desk);
listenToColleagues(desk);
listenToTheEnd(desk);
listenToPanels(desk);
listenToShield(desk);
listenToVoices(desk, grid, closeUp, lead, talk);
desk.layers.pile(strata, desk.drawer, compare, talking, picture, ...looking.layers, lead);
listenToKeys(
    desk,
    (event) => looking.press(event, (level) => pass.check(level)),
    () => chosen.choose([]),
);

// Tests see that every key that is listed does something.
element('#keys').dataset.idle = desk.actions.idleKeys.join(' ');
ask.follow();
await document.fonts.ready;
await canvases.begin(connection);
connection.open();
// The small class screen waits until the grid is there.
window.setTimeout(() => {
    const small = element<HTMLIFrameElement>('#mini-screen iframe');
    small.src = small.dataset.src ?? '';
}, SMALL_SCREEN_MS);
