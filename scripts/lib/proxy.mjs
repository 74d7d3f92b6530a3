// A plain reverse proxy before several servers of one database: each request goes to the next of them.
import { createServer, request } from 'node:http';

/**
 * @param addresses of the servers
 * @returns { address, stop() }
 */
export function startProxy(addresses, port = 0) {
  let next = 0;
  const send = (incoming, outgoing, tries) => {
    const target = new URL(addresses[next++ % addresses.length]);
    const onward = request(
      {
        host: target.hostname,
        port: target.port,
        method: incoming.method,
        path: incoming.url,
        // The page's own Host goes on as it is: the servers answer only to pages of the address they are reached at.
        headers: { ...incoming.headers, connection: 'close' },
        // A connection of its own for each: one that is kept may be closed by the server at the moment it is used again.
        agent: false,
      },
      (answer) => {
        const headers = { ...answer.headers };
        // How a connection is kept is a matter of each of the two.
        for (const own of ['connection', 'keep-alive']) delete headers[own];
        outgoing.writeHead(answer.statusCode ?? 502, headers);
        answer.pipe(outgoing);
        // What breaks off half way is broken off, not left waiting.
        answer.once('error', () => outgoing.destroy());
      },
    );
    onward.on('error', (error) => {
      // A server that is not there has taken nothing: another may. What broke off half way is not sent twice, unless it only asks.
      const nothingTaken = error.code === 'ECONNREFUSED' && incoming.readableFlowing !== true;
      const onlyAsks = ['GET', 'HEAD'].includes(incoming.method) && !outgoing.headersSent && !outgoing.destroyed;
      if (tries > 1 && (nothingTaken || onlyAsks)) return send(incoming, outgoing, tries - 1);
      if (outgoing.headersSent) return outgoing.destroy();
      outgoing.writeHead(502, { 'content-type': 'text/plain' });
      outgoing.end('No server answers.');
    });
    outgoing.once('close', () => onward.destroy());
    onward.once('socket', (socket) => {
      const go = () => (incoming.readableEnded ? onward.end() : incoming.pipe(onward));
      if (socket.connecting) socket.once('connect', go);
      else go();
    });
  };
  const server = createServer((incoming, outgoing) => send(incoming, outgoing, addresses.length));
  server.requestTimeout = 0;
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () =>
      resolve({
        address: `http://127.0.0.1:${server.address().port}`,
        stop: () =>
          new Promise((done) => {
            server.close(() => done());
            server.closeAllConnections();
          }),
      }),
    );
  });
}
