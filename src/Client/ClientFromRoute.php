<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Gives controllers the client of the address, if it is one of the own clinic; else the page is not found. */
#[AutoconfigureTag(
    'controller.argument_value_resolver',
    ['priority' => 150],
)] // before the one that hands on what stands in the address
final readonly class ClientFromRoute implements ValueResolverInterface
{
    public function __construct(
        private ClientRepository $clients,
        private Who $who,
        private Audit $audit,
    ) {
    }

    /** @return iterable<Client> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        if (Client::class !== $argument->getType()) {
            return [];
        }
        $id = $request->attributes->get('client');
        $client = match (true) {
            !\is_string($id) => null,
            $request->isMethodSafe() => $this->clients->find($this->who->clinicId(), $id),
            default => $this->clients->findToChange($this->who->clinicId(), $id),
        };
        if (null === $client) {
            throw new NotFoundHttpException('No such client.');
        }
        if ($request->isMethodSafe()) {
            $route = $request->attributes->get('_route');
            $this->audit->read(\is_string($route) ? $route : 'page', $client->id);
        }

        return [$client];
    }
}
