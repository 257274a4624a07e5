<?php

declare(strict_types=1);

namespace Deploy\Keep;

use Deploy\Folder;
use Deploy\Problem;

/** One Crag for one folder of data, or one of each node. A lock goes with the process that took it, however it ends. */
final class DataLock
{
    /**
     * @param  string  $node  which of several nodes; empty where there is one
     * @return resource held as long as it is open
     */
    public static function take(string $data, string $node = ''): mixed
    {
        Folder::make($data);
        $lock = fopen("{$data}/lock".($node === '' ? '' : "-{$node}"), 'c+e');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            $pid = $lock === false ? '' : trim((string) stream_get_contents($lock));
            throw new Problem(
                "Crag is running on {$data} already".
                    ($pid === '' ? '' : " (process {$pid})").
                    '. Stop that one first, or set CRAG_DATA to another folder.',
            );
        }
        ftruncate($lock, 0);
        rewind($lock);
        fwrite($lock, (string) getmypid());
        fflush($lock);

        return $lock;
    }

    /**
     * All of them: nobody runs on it, on any node.
     *
     * @return list<resource>
     */
    public static function takeAll(string $data): array
    {
        $nodes = array_map(
            static fn (string $file): string => substr(basename($file), strlen('lock-')),
            glob("{$data}/lock-*") ?: [],
        );

        return array_map(static fn (string $node): mixed => self::take($data, $node), ['', ...$nodes]);
    }
}
