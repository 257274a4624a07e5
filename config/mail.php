<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        // Without a mail server mails stand in the log, under storage/run/…/log.
        'log' => ['transport' => 'log', 'channel' => env('MAIL_LOG_CHANNEL')],
        'smtp' => [
            'transport' => 'smtp', 'host' => env('MAIL_HOST', '127.0.0.1'), 'port' => env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'), 'password' => env('MAIL_PASSWORD'), 'timeout' => 20,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'crag@localhost'), 'name' => 'Crag'],
];
