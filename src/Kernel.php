<?php

declare(strict_types=1);

namespace HandGarden;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

/** Caches, logs and drawn hands go to the state folder of the instance (HG_STATE_DIR), the code stays untouched. */
final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    public function getCacheDir(): string
    {
        return $this->stateDir().'/cache/'.$this->getEnvironment();
    }

    public function getLogDir(): string
    {
        return $this->stateDir().'/log';
    }

    private function stateDir(): string
    {
        $dir = $_SERVER['HG_STATE_DIR'] ?? null;

        return \is_string($dir) && '' !== $dir ? $dir : $this->getProjectDir().'/var/console';
    }
}
