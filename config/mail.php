<?php

declare(strict_types=1);

return [
    // With a mail server, what it does not take stands in the log: no mail is lost without a word.
    'default' => env('MAIL_MAILER', 'log') === 'smtp' ? 'smtp-or-log' : env('MAIL_MAILER', 'log'),
    'mailers' => [
        'log' => ['transport' => 'log', 'channel' => 'mails'],
        'smtp-or-log' => ['transport' => 'failover', 'mailers' => ['smtp', 'log']],
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 20,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'crag@localhost'), 'name' => 'Crag'],
];
