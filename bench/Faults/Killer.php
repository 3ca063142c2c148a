<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

use HandGarden\Bench\Fuzz\Chance;

/** Ends processes of a house without warning, as a lack of memory or a power cut would. */
final class Killer
{
    /** @var array<string, int> how often, by what */
    public array $killed = [];

    /** @param string $state folder of the house's state */
    public function __construct(
        private readonly string $state,
        private readonly Chance $chance,
    ) {
    }

    /** @param non-empty-list<string> $kinds */
    public function one(array $kinds): string
    {
        $kind = $this->chance->of($kinds);
        $number = $this->number($kind);
        if ($number > 1) {
            exec('kill -9 '.$number.' 2>/dev/null');
            $this->killed[$kind] = ($this->killed[$kind] ?? 0) + 1;
        }

        return $kind;
    }

    private function number(string $kind): int
    {
        return match ($kind) {
            'nginx' => $this->kept('keep/nginx.pid'),
            'nginx worker' => $this->child($this->kept('keep/nginx.pid'), ''),
            'php-fpm' => $this->kept('keep/fpm.pid'),
            'php-fpm worker' => $this->child($this->kept('keep/fpm.pid'), ''),
            'postgres' => $this->kept('pg/cluster/postmaster.pid'),
            'postgres process' => $this->child($this->kept('pg/cluster/postmaster.pid'), 'postgres: garden'),
            'watch' => $this->kept('keep/watch.pid'),
            default => 0,
        };
    }

    private function kept(string $file): int
    {
        return (int) @file_get_contents($this->state.'/'.$file);
    }

    private function child(int $parent, string $called): int
    {
        exec('pgrep -P '.$parent.('' === $called ? '' : ' -f '.escapeshellarg($called)), $numbers);

        return [] === $numbers ? 0 : (int) $this->chance->of($numbers);
    }
}
