<?php

declare(strict_types=1);

namespace App\Accounts;

/** Who signed in, as the school's provider says. */
final readonly class SchoolIdentity
{
    /**
     * @param  string  $subject  the provider's own name for the person, never another's
     * @param  string  $name  as it calls them; empty where it does not say
     * @param  string  $account  by which a class list knows them; empty where it does not say
     */
    public function __construct(
        private string $issuer,
        private string $subject,
        public string $name,
        public string $account,
    ) {
    }

    /** The same for the same person, and of no use to anybody else. */
    public function seal(): string
    {
        return hash_hmac('sha256', "{$this->issuer} {$this->subject}", config()->string('app.key'));
    }
}
