<?php

declare(strict_types=1);

namespace Deploy\Shared;

use Deploy\Install\Setup;

/** The front of several nodes as deploy/front/haproxy.cfg has it, without TLS. */
final class Front extends Server
{
    /** @param  list<int>  $ports  of the nodes, on this machine */
    public function __construct(private readonly array $ports)
    {
        parent::__construct();
    }

    public function url(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    protected function name(): string
    {
        return 'haproxy';
    }

    /** @return list<string> */
    protected function prepare(): array
    {
        $settings = (string) file_get_contents(Setup::root().'/deploy/front/haproxy.cfg');
        $settings = (string) preg_replace('/^ +bind .*$/m', "    bind 127.0.0.1:{$this->port}", $settings);
        $settings = (string) preg_replace('/^ +server .*\n/m', '', $settings);
        foreach ($this->ports as $n => $port) {
            $settings .= "    server node{$n} 127.0.0.1:{$port}\n";
        }
        file_put_contents("{$this->folder}/haproxy.cfg", $settings);

        return ['/usr/sbin/haproxy', '-db', '-f', "{$this->folder}/haproxy.cfg"];
    }

    protected function answers(): bool
    {
        $context = stream_context_create(['http' => ['timeout' => 3, 'ignore_errors' => true]]);

        return @file_get_contents("{$this->url()}/up", false, $context) === 'up';
    }
}
