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

/**
 * Pieces of one connection that are looked at. The engine that runs this gives nothing back before a connection ends:
 * some 800 bytes stay for each piece (measured in docs/architecture.md), so one that has had as many is ended, and the
 * page opens another: of itself between two strokes before it comes to that (InkLine). A pen that never rests gets
 * there in 50 seconds.
 */
const MOST_PIECES = 1500;

/** Reads frames as their bytes come, in whatever pieces. Gives what is wrong, or an empty text. Makes no objects. */
function reader() {
    let ends = 0;
    let headLength = 0;
    /** What the next byte is: 0 a frame's first, 1 the one with its length, 2 a part of a longer length. */
    let part = 0;
    let more = 0;
    let mask = 0;
    let length = 0;
    let left = 0;
    let frames = 0;
    let bytes = 0;
    let second = 0;

    /** The place behind the request's empty line. */
    function passHead(data) {
        let i = 0;
        while (i < data.length && ends < 4) {
            const byte = data[i];
            ends = byte === (ends % 2 === 0 ? 13 : 10) ? ends + 1 : byte === 13 ? 1 : 0;
            i++;
        }
        headLength += i;
        return i;
    }

    /** One byte of a frame's beginning. Whether its length is known now. */
    function begin(byte) {
        if (part === 0) {
            part = 1;
            return false;
        }
        if (part === 1) {
            const told = byte & 127;
            mask = byte & 128 ? 4 : 0;
            more = told === 126 ? 2 : told === 127 ? 8 : 0;
            length = more === 0 ? told : 0;
            part = 2;
        } else {
            length = length * 256 + byte;
            more--;
        }
        return more === 0;
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
            if (begin(data[i])) {
                if (length > MOST_IN_A_FRAME) {
                    return 'a frame of ' + length + ' bytes';
                }
                left = length + mask;
                part = 0;
                frames++;
            }
            i++;
        }
        return frames > MOST_FRAMES || bytes > MOST_BYTES ? 'too much in a second' : '';
    };
}

function gate(s) {
    const read = reader();
    let pieces = 0;
    s.on('upstream', function (data, flags) {
        const wrong = read(data, Date.now());
        if (wrong !== '' || ++pieces > MOST_PIECES) {
            // Whatever is thrown here ends the connection.
            throw new Error(wrong);
        }
        s.send(data, flags);
    });
}

export default { gate, reader };
