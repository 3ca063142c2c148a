<?php

declare(strict_types=1);

namespace HandGarden\Bench;

use Symfony\Bundle\FrameworkBundle\FrameworkBundle;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Bundle\TwigBundle\TwigBundle;
use Symfony\Component\DependencyInjection\Loader\Configurator\ContainerConfigurator;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Kernel;
use Symfony\Component\Routing\Loader\Configurator\RoutingConfigurator;
use Twig\Environment;

/** The first yardstick: the framework with one Twig page and nothing else. */
final class BareKernel extends Kernel
{
    use MicroKernelTrait;

    public function registerBundles(): iterable
    {
        return [new FrameworkBundle(), new TwigBundle()];
    }

    public function getCacheDir(): string
    {
        return $this->stateDir().'/cache/bare';
    }

    public function getLogDir(): string
    {
        return $this->stateDir().'/log';
    }

    public function page(): Response
    {
        $twig = $this->getContainer()->get('bare_twig');
        \assert($twig instanceof Environment);

        return new Response($twig->render('bare.html.twig', ['name' => 'bench']));
    }

    protected function configureContainer(ContainerConfigurator $container): void
    {
        $container->extension('framework', ['secret' => 'bench', 'http_method_override' => false]);
        $container->extension('twig', ['default_path' => __DIR__.'/templates']);
        $container->services()->alias('bare_twig', 'twig')->public();
    }

    protected function configureRoutes(RoutingConfigurator $routes): void
    {
        $routes->add('bare', '/bench/twig')->controller([self::class, 'page']);
    }

    private function stateDir(): string
    {
        $dir = $_SERVER['HG_STATE_DIR'] ?? null;

        return \is_string($dir) ? $dir : \dirname(__DIR__).'/var/console';
    }
}
