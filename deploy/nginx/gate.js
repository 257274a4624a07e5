/*
 * The gate through which every socket of a browser comes: what is too large or comes too fast ends the socket, before the
 * part that holds the channels has set memory aside for it. RFC 6455, section 5.2, says how a frame begins.
 */

/** Bytes in one frame; a page sends no more than 12,000. */
const MOST_IN_A_FRAME = 16384;
/** In one second; a pen that never rests sends 30 frames of some 200 bytes. */
const MOST_FRAMES = 240;
const MOST_BYTES = 262144;
/** The request that opens it, its cookies included. */
const MOST_IN_THE_HEAD = 32768;

/** Reads frames as their bytes come, in whatever pieces. Gives what is wrong, or an empty text. */
function reader() {
    let ends = 0;
    let headLength = 0;
    let begun = [];
    let left = 0;
    let frames = 0;
    let bytes = 0;
    let second = 0;

    /** The place behind the request's empty line. */
    function passHead(data) {
        const lineEnd = [13, 10, 13, 10];
        let i = 0;
        while (i < data.length && ends < 4) {
            ends = data[i] === lineEnd[ends] ? ends + 1 : data[i] === 13 ? 1 : 0;
            i++;
        }
        headLength += i;
        return i;
    }

    /** The length of the frame whose beginning this is; less than zero while more of it is to come. */
    function lengthOf(head) {
        if (head.length < 2) {
            return -1;
        }
        const told = head[1] & 127;
        const more = told === 126 ? 2 : told === 127 ? 8 : 0;
        if (head.length < 2 + more + (head[1] & 128 ? 4 : 0)) {
            return -1;
        }
        let length = more === 0 ? told : 0;
        for (let i = 2; i < 2 + more; i++) {
            length = length * 256 + head[i];
        }
        return length;
    }

    return function (data, now) {
        let i = ends < 4 ? passHead(data) : 0;
        if (ends < 4) {
            return headLength > MOST_IN_THE_HEAD ? 'a head without an end' : '';
        }
        if (now - second >= 1000) {
            second = now;
            frames = 0;
            bytes = 0;
        }
        bytes += data.length - i;
        while (i < data.length) {
            if (left > 0) {
                const taken = Math.min(left, data.length - i);
                left -= taken;
                i += taken;
                continue;
            }
            begun.push(data[i]);
            i++;
            const length = lengthOf(begun);
            if (length > MOST_IN_A_FRAME) {
                return 'a frame of ' + length + ' bytes';
            }
            if (length >= 0) {
                left = length;
                begun = [];
                frames++;
            }
        }
        return frames > MOST_FRAMES || bytes > MOST_BYTES ? 'too much in a second' : '';
    };
}

function gate(s) {
    const read = reader();
    s.on('upstream', function (data, flags) {
        const wrong = read(data, Date.now());
        if (wrong !== '') {
            // Whatever is thrown here ends the connection.
            throw new Error(wrong);
        }
        s.send(data, flags);
    });
}

export default { gate, reader };
