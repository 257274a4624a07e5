<?php

declare(strict_types=1);

/*
 * What `./crag` sets for an instance; docs/operating.md lists the variables.
 */
return [
    // Everything that runs lives here: sockets, logs, process ids, caches.
    'run' => env('CRAG_RUN', storage_path('run/default')),

    // What is kept: pictures and records.
    'data' => env('CRAG_DATA', storage_path('data')),

    // Which of several nodes that share a database and Redis this is; empty where there is one.
    'node' => (string) env('CRAG_NODE', ''),

    // Where nginx takes messages for channels, a socket that only this machine's server can reach.
    'publish_socket' => env('CRAG_RUN', storage_path('run/default')).'/publish.sock',

    // In which time zone times are shown, such as Europe/Helsinki; `./crag` sets the machine's where none is said.
    'zone' => env('CRAG_ZONE') ?: 'UTC',

    // How numbers are written: with a decimal "point" or a decimal "comma"; and which sign of money answers have.
    'decimal' => (string) env('CRAG_DECIMAL', 'point'),
    'money' => (string) env('CRAG_MONEY', '£'),

    // The address by which people reach it, such as https://crag.sillbeck.example. Set, the server answers to no other
    // name.
    'url' => rtrim(mb_strtolower((string) env('CRAG_URL', '')), '/'),

    // Who may begin sessions and make plans: anybody, whoever has an account, or whoever made one with an invitation.
    'teachers' => (string) env('CRAG_TEACHERS', 'anybody'),

    // How many days what an ended session leaves behind is kept.
    'keep_days' => (int) env('CRAG_KEEP_DAYS', Crag\Session\Life\Retention::USUAL_DAYS),

    // What reads students' work and proposes feedback: a class of Crag\Reading\Reader. The one that ships is a set of
    // rules.
    'reader' => env('CRAG_READER', Crag\Reading\RuleReader::class),

    // Whether voices may be recorded here at all; each teacher switches it on for a session.
    'recording' => (bool) env('CRAG_RECORDING', false),

    // Whether a camera may run with a recording; each teacher switches it on for a session.
    'camera' => (bool) env('CRAG_CAMERA', false),

    // Whether a device's own dictation may write down what is said; who speaks switches it on each time.
    'dictation' => (bool) env('CRAG_DICTATION', false),

    // Whether a teacher and a student may talk from page to page; each teacher switches it on for a session.
    'live_talk' => (bool) env('CRAG_LIVE_TALK', false),

    // Between networks that do not reach each other a TURN server passes sound on: its address, such as
    // turn:turn.sillbeck.example:3478, the secret that it shares with this installation, and whether all sound goes
    // through it.
    'turn_url' => (string) env('CRAG_TURN_URL', ''),
    'turn_secret' => (string) env('CRAG_TURN_SECRET', ''),
    'turn_only' => (bool) env('CRAG_TURN_ONLY', false),

    // Of the addresses at which two pages could reach each other, which may be told: networks with a comma between
    // them, such as 10.20.0.0/16; all where none is said.
    'talk_networks' => (string) env('CRAG_TALK_NETWORKS', ''),

    // With which accounts students may sign in, where a school has them: an OpenID Connect provider's address, the name
    // and the secret that it knows this installation by, what the button says, and which claim says whose account it is.
    'oidc_issuer' => rtrim((string) env('CRAG_OIDC_ISSUER', ''), '/'),
    'oidc_client' => (string) env('CRAG_OIDC_CLIENT', 'crag'),
    'oidc_secret' => (string) env('CRAG_OIDC_SECRET', ''),
    'oidc_name' => (string) env('CRAG_OIDC_NAME', ''),
    'oidc_claim' => (string) env('CRAG_OIDC_CLAIM', 'email'),

    // Words that make a name knock, one on each line.
    'unsuitable' => env('CRAG_UNSUITABLE') ?: base_path('core/src/Session/Door/unsuitable-words.txt'),

    // Whether the made-up class and its ways in exist.
    'demo' => (bool) env('CRAG_DEMO', false),
];
