/* global setTimeout, window, XMLHttpRequest */
// A slow network: every third question, and every third answer, of a page's is late by up to 0.8 s, each on its own, so
// that they come in another order than they were asked in. What a page sends as it is left is not held.
{
    const wait = () =>
        Math.random() < 1 / 3 ? new Promise((go) => setTimeout(go, 20 + Math.random() * 780)) : Promise.resolve();
    const ask = window.fetch.bind(window);
    window.fetch = async (address, how) => {
        if (how?.keepalive === true) {
            return ask(address, how);
        }
        await wait();
        const answer = await ask(address, how);
        await wait();
        return answer;
    };
    const { send } = XMLHttpRequest.prototype;
    XMLHttpRequest.prototype.send = function (body) {
        void wait().then(() => this.readyState === XMLHttpRequest.OPENED && send.call(this, body));
    };
}
