/** Lets a stand-in listen on a port of this machine alone and resolves with { address, stop() }. */
export async function onLoopback(server, port, beforeStop = () => undefined) {
  await new Promise((ok, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', ok);
  });
  return {
    address: `http://127.0.0.1:${server.address().port}`,
    stop: () =>
      new Promise((done) => {
        beforeStop();
        server.closeAllConnections();
        server.close(() => done());
      }),
  };
}
